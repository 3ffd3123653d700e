/**
 * Tones that are heard over an engine, whose noise lies below a few hundred hertz (from memory): high for over, lower for under, two
 * for anything else.
 */
const TONE_HZ = { over: 2200, under: 1100, else: 1600 } as const;

/** Says a cue: a tone that carries over an engine, then the words where the browser can speak. */
export function sayAloud(words: string): void {
  if (words.startsWith('Over')) tone(TONE_HZ.over);
  else if (words.startsWith('Under')) tone(TONE_HZ.under);
  else {
    tone(TONE_HZ.else);
    window.setTimeout(() => tone(TONE_HZ.else), 180);
  }
  if (!('speechSynthesis' in window) || window.speechSynthesis.getVoices().length === 0) return;
  const spoken = new SpeechSynthesisUtterance(words);
  spoken.volume = 1;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(spoken);
}

let context: AudioContext | null = null;

/** A short tone (Hz), square so that it carries; silent where the browser has no sound. */
function tone(frequencyHz: number): void {
  if (!('AudioContext' in window)) return;
  context ??= new AudioContext();
  const oscillator = context.createOscillator();
  const gain = context.createGain();
  oscillator.type = 'square';
  oscillator.frequency.value = frequencyHz;
  gain.gain.setValueAtTime(0.6, context.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + 0.15);
  oscillator.connect(gain).connect(context.destination);
  oscillator.start();
  oscillator.stop(context.currentTime + 0.16);
}
