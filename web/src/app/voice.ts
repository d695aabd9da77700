const KEY = 'cradle-speak';

/** Are stops said aloud on this device? */
export const speaks = (): boolean => localStorage.getItem(KEY) === 'yes';
/** Chooses whether stops are said aloud on this device. */
export const chooseSpeaks = (on: boolean): void => localStorage.setItem(KEY, on ? 'yes' : 'no');
/** Can this device speak at all? */
export const canSpeak = (): boolean => 'speechSynthesis' in window && typeof SpeechSynthesisUtterance === 'function';

/** Says a text with a voice of the device itself; what was being said stops. Nothing is sent anywhere. */
export function say(text: string): void {
  if (!canSpeak()) return;
  window.speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(text);
  const local = window.speechSynthesis.getVoices().filter((v) => v.localService && v.lang.startsWith('en'));
  if (local[0]) said.voice = local[0];
  said.lang = 'en';
  said.rate = 0.95;
  window.speechSynthesis.speak(said);
}

/** Two short tones: something was entered, or something is wrong. Each has its twin on the screen. */
export function tone(kind: 'done' | 'halt'): void {
  if (!speaks() || typeof AudioContext !== 'function') return;
  const audio = new AudioContext();
  const at = audio.currentTime;
  const pitches = kind === 'done' ? [660, 880] : [330, 220];
  pitches.forEach((pitch, i) => {
    const voice = audio.createOscillator();
    const level = audio.createGain();
    voice.frequency.value = pitch;
    level.gain.value = 0.08;
    voice.connect(level).connect(audio.destination);
    voice.start(at + i * 0.16);
    voice.stop(at + i * 0.16 + 0.13);
  });
  setTimeout(() => void audio.close(), 800);
}
