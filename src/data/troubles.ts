/** What went wrong last, kept until the same goes well: health tells it. */
interface Troubles {
  /** A change that could not be written. */
  save: string | null;
  /** A copy that could not be made. */
  copy: string | null;
}

/** One a process, kept across hot reloads. */
const holder = globalThis as { tezgahTroubles?: Troubles };
const troubles = (): Troubles => (holder.tezgahTroubles ??= { save: null, copy: null });

/** @param message - In words; null when it went well. */
export const noteTrouble = (of: keyof Troubles, message: string | null): void => {
  troubles()[of] = message;
};

export const readTroubles = (): Readonly<Troubles> => troubles();
