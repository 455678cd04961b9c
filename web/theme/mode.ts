export type Mode = 'light' | 'dark';

/** Light or dark, following the device until the user chooses; stored on this device only. */
const key = 'open-trench-mode';
const listeners = new Set<() => void>();
const asksForDark = window.matchMedia('(prefers-color-scheme: dark)');

export function modeNow(): Mode {
  const chosen = localStorage.getItem(key);
  if (chosen === 'light' || chosen === 'dark') return chosen;
  return asksForDark.matches ? 'dark' : 'light';
}

/** Gives the page the colors of its mode. */
export function applyMode(): void {
  const mode = modeNow();
  document.documentElement.classList.toggle('dark', mode === 'dark');
  document.documentElement.style.colorScheme = mode;
  listeners.forEach((tell) => {
    tell();
  });
}
asksForDark.addEventListener('change', applyMode);

export function chooseMode(mode: Mode): void {
  localStorage.setItem(key, mode);
  applyMode();
}

/** Calls back when the mode changes; returns what ends that. */
export function onMode(tell: () => void): () => void {
  listeners.add(tell);
  return () => {
    listeners.delete(tell);
  };
}
