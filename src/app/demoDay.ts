/** The day that a demonstration opens on, `2026-11-28`; null where Tezgah is at work. Read from TEZGAH_DEMO_DAY. */
export const readDemoDay = (): string | null => process.env.TEZGAH_DEMO_DAY ?? null;
