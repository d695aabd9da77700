import { useSyncExternalStore } from 'react';

/** Glare: black on white with thick edges, for a device in the sun. */
export type Theme = 'day' | 'night' | 'glare';
/** Per cent of the usual size. */
export type TextSize = 100 | 125 | 150 | 200;
const THEME = 'cradle-theme';
const TEXT = 'cradle-text';
const dark = window.matchMedia('(prefers-color-scheme: dark)');
const contrast = window.matchMedia('(prefers-contrast: more)');
const listeners = new Set<() => void>();

/** The theme in force: the person's choice on this device, else the system's. */
export function theme(): Theme {
  const chosen = localStorage.getItem(THEME);
  if (chosen === 'day' || chosen === 'night' || chosen === 'glare') return chosen;
  return contrast.matches ? 'glare' : dark.matches ? 'night' : 'day';
}

/** Size of all text on this device, per cent. */
export function textSize(): TextSize {
  const chosen = Number(localStorage.getItem(TEXT));
  return chosen === 125 || chosen === 150 || chosen === 200 ? chosen : 100;
}

function show(): void {
  document.documentElement.dataset.theme = theme();
  document.documentElement.style.fontSize = `${textSize()}%`;
  document.documentElement.dataset.text = String(textSize());
  listeners.forEach((tell) => tell());
}

/** Null follows the system again. */
export function chooseTheme(next: Theme | null): void {
  if (next) localStorage.setItem(THEME, next);
  else localStorage.removeItem(THEME);
  show();
}

/** Chooses the size of the text on this device. */
export function chooseTextSize(next: TextSize): void {
  localStorage.setItem(TEXT, String(next));
  show();
}

/** Puts the chosen look on the page, before anything is drawn. */
export function startTheme(): void {
  dark.addEventListener('change', show);
  contrast.addEventListener('change', show);
  // Chosen in another tab of this device.
  window.addEventListener('storage', show);
  show();
}

const subscribe = (tell: () => void) => {
  listeners.add(tell);
  return () => void listeners.delete(tell);
};

/** The look that is chosen, kept current. */
export const useTheme = (): Theme => useSyncExternalStore(subscribe, theme);
/** The size of the text that is chosen, kept current. */
export const useTextSize = (): TextSize => useSyncExternalStore(subscribe, textSize);
/** Was the theme chosen on this device, or does it follow the system? */
export const useThemeChosen = (): boolean =>
  useSyncExternalStore(subscribe, () => localStorage.getItem(THEME) !== null);
