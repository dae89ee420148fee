/** The page that opens what is on the device, kept with the application. */
export const AWAY_PATH = "/away";
/** Where pages of running days are kept on the device. */
export const RUN_PAGES = "tezgah-run";
/** What a page says to a newer version that waits. */
export const TAKE_OVER = "take over";
