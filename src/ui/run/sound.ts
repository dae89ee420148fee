/** Tones of the bell, Hz, one after the other: a fourth that falls, which an oven's own beep does not. */
const TONES_HZ = [880, 660] as const;
const TONE_S = 0.22;
/** A tone swells and fades for so long, so that it does not crack. */
const FADE_S = 0.03;

export const loudnesses = ["loud", "soft", "mute"] as const;
/** How loud the bells are: across a kitchen, or beside a sleeper's door. */
export type Loudness = (typeof loudnesses)[number];
/** Shares of the most that a speaker gives; a tenth of it is a quarter to the ear. */
const gains: Readonly<Record<Loudness, number>> = { loud: 0.8, soft: 0.08, mute: 0 };

let audio: AudioContext | null = null;

/** Sounds the bell once, if the browser lets a page that was touched make sounds. */
export function ring(loudness: Loudness): void {
  const most = gains[loudness];
  if (most === 0) return;
  try {
    audio ??= new AudioContext();
    const context = audio;
    void context.resume().catch(() => undefined);
    TONES_HZ.forEach((hertz, i) => {
      const from = context.currentTime + i * TONE_S;
      const [tone, gain] = [context.createOscillator(), context.createGain()];
      tone.frequency.value = hertz;
      gain.gain.setValueAtTime(0, from);
      gain.gain.linearRampToValueAtTime(most, from + FADE_S);
      gain.gain.setValueAtTime(most, from + TONE_S - FADE_S);
      gain.gain.linearRampToValueAtTime(0, from + TONE_S);
      tone.connect(gain).connect(context.destination);
      tone.start(from);
      tone.stop(from + TONE_S);
    });
  } catch {
    // No sound here: it is seen all the same.
  }
}

export const canSpeak = (): boolean => typeof speechSynthesis !== "undefined";

/** Says a text with the browser's own voice, cutting short what it said before. */
export function speak(text: string): void {
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}
