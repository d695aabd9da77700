import { useEffect, useEffectEvent } from 'react';
import { say, speaks } from './voice.ts';

interface HandsOff {
  /** What is said when the stop changes. */
  words: string;
  /** The main action of the screen: a headset's *next*, a pedal's forward. */
  next: () => void;
}

/** A second of silence: media keys reach a page only while something plays. */
function silence(): HTMLAudioElement {
  const rate = 8000;
  const bytes = new Uint8Array(44 + rate);
  const view = new DataView(bytes.buffer);
  const text = (at: number, s: string) => [...s].forEach((c, i) => view.setUint8(at + i, c.charCodeAt(0)));
  text(0, 'RIFF');
  view.setUint32(4, 36 + rate, true);
  text(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, rate, true);
  view.setUint16(32, 1, true);
  view.setUint16(34, 8, true);
  text(36, 'data');
  view.setUint32(40, rate, true);
  bytes.fill(128, 44);
  const audio = new Audio(URL.createObjectURL(new Blob([bytes], { type: 'audio/wav' })));
  audio.loop = true;
  return audio;
}

/**
 * Work with the device out of the hands: the stop is said when it changes, *next* on a headset is the main action,
 * *previous* says it again; the screen stays on. Speech and keys only where the person wants them on this device.
 */
export function useHandsOff({ words, next }: HandsOff): void {
  const onNext = useEffectEvent(() => next());
  const onAgain = useEffectEvent(() => say(words));
  useEffect(() => {
    if (speaks() && words) say(words);
  }, [words]);
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let gone = false;
    const keepOn = async () => {
      if (gone || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      lock = await navigator.wakeLock.request('screen').catch(() => undefined);
      if (gone) void lock?.release();
    };
    void keepOn();
    document.addEventListener('visibilitychange', keepOn);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', keepOn);
      void lock?.release();
    };
  }, []);
  useEffect(() => {
    if (!speaks() || !('mediaSession' in navigator)) return undefined;
    const quiet = silence();
    void quiet.play().catch(() => undefined);
    const session = navigator.mediaSession;
    session.setActionHandler('nexttrack', () => onNext());
    session.setActionHandler('previoustrack', () => onAgain());
    return () => {
      quiet.pause();
      URL.revokeObjectURL(quiet.src);
      session.setActionHandler('nexttrack', null);
      session.setActionHandler('previoustrack', null);
    };
  }, []);
}
