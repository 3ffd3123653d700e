/** Says a cue aloud where the browser can; otherwise a tone: high for over, low for under, two for anything else. */
export function sayAloud(words: string): void {
  if ('speechSynthesis' in window && window.speechSynthesis.getVoices().length > 0) {
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
    return;
  }
  if (words.startsWith('Over')) tone(880);
  else if (words.startsWith('Under')) tone(440);
  else {
    tone(660);
    window.setTimeout(() => tone(660), 180);
  }
}

let context: AudioContext | null = null;

/** A short tone (Hz); silent where the browser has no sound. */
function tone(frequencyHz: number): void {
  if (!('AudioContext' in window)) return;
  context ??= new AudioContext();
  const oscillator = context.createOscillator();
  const gain = context.createGain();
  oscillator.frequency.value = frequencyHz;
  gain.gain.setValueAtTime(0.2, context.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + 0.15);
  oscillator.connect(gain).connect(context.destination);
  oscillator.start();
  oscillator.stop(context.currentTime + 0.16);
}
