/** Tones of the bell, Hz, one after the other: a fourth that falls, which an oven's own beep does not. */
const TONES_HZ = [880, 660] as const;
const TONE_S = 0.22;
/** Between silence and this a tone swells and fades, so that it does not crack. */
const LOUDNESS = 0.5;
const FADE_S = 0.03;

let audio: AudioContext | null = null;

/** Sounds the bell once, if the browser lets a page that was touched make sounds. */
export function ring(): void {
  try {
    audio ??= new AudioContext();
    const context = audio;
    void context.resume().catch(() => undefined);
    TONES_HZ.forEach((hertz, i) => {
      const from = context.currentTime + i * TONE_S;
      const [tone, gain] = [context.createOscillator(), context.createGain()];
      tone.frequency.value = hertz;
      gain.gain.setValueAtTime(0, from);
      gain.gain.linearRampToValueAtTime(LOUDNESS, from + FADE_S);
      gain.gain.setValueAtTime(LOUDNESS, from + TONE_S - FADE_S);
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
