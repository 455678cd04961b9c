import { useSyncExternalStore } from 'react';

/** Light or dark, following the device until the user chooses; stored on this device only. */
const key = 'open-trench-mode';
const listeners = new Set<() => void>();
const asksForDark = window.matchMedia('(prefers-color-scheme: dark)');

function current(): 'light' | 'dark' {
  const chosen = localStorage.getItem(key);
  if (chosen === 'light' || chosen === 'dark') return chosen;
  return asksForDark.matches ? 'dark' : 'light';
}

export function applyMode(): void {
  const dark = current() === 'dark';
  document.documentElement.classList.toggle('dark', dark);
  document.documentElement.style.colorScheme = current();
  listeners.forEach((tell) => {
    tell();
  });
}
asksForDark.addEventListener('change', applyMode);

export function useMode(): ['light' | 'dark', (mode: 'light' | 'dark') => void] {
  const mode = useSyncExternalStore((tell) => {
    listeners.add(tell);
    return () => listeners.delete(tell);
  }, current);
  return [
    mode,
    (chosen) => {
      localStorage.setItem(key, chosen);
      applyMode();
    },
  ];
}
