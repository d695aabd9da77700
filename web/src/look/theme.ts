import { useSyncExternalStore } from 'react';

export type Theme = 'day' | 'night';
const KEY = 'cradle-theme';
const dark = window.matchMedia('(prefers-color-scheme: dark)');
const listeners = new Set<() => void>();

/** The theme in force: the person's choice on this device, else the system's. */
export function theme(): Theme {
  const chosen = localStorage.getItem(KEY);
  return chosen === 'day' || chosen === 'night' ? chosen : dark.matches ? 'night' : 'day';
}

function show(): void {
  document.documentElement.dataset.theme = theme();
  listeners.forEach((tell) => tell());
}

export function chooseTheme(next: Theme): void {
  localStorage.setItem(KEY, next);
  show();
}

export function startTheme(): void {
  dark.addEventListener('change', show);
  show();
}

export const useTheme = (): Theme =>
  useSyncExternalStore((tell) => {
    listeners.add(tell);
    return () => void listeners.delete(tell);
  }, theme);
