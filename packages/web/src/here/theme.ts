/** Light, dark, or as the device is set. */
export type Light = 'device' | 'light' | 'dark';

const key = 'wide-fern:light';
const dark = () => window.matchMedia('(prefers-color-scheme: dark)');

export function chosenLight(): Light {
  const stored = localStorage.getItem(key);
  return stored === 'light' || stored === 'dark' ? stored : 'device';
}

function apply(): void {
  const chosen = chosenLight();
  const isDark = chosen === 'dark' || (chosen === 'device' && dark().matches);
  document.documentElement.classList.toggle('dark', isDark);
  document.documentElement.classList.toggle('light', !isDark);
  document.documentElement.style.colorScheme = isDark ? 'dark' : 'light';
}

export function chooseLight(light: Light): void {
  localStorage.setItem(key, light);
  apply();
}

/** Dark, whatever was chosen, until it is told to be as before again. */
export function darkMeanwhile(): () => void {
  const { classList, style } = document.documentElement;
  classList.add('dark');
  classList.remove('light');
  style.colorScheme = 'dark';
  return apply;
}

/** Follows the choice and the device from now on. */
export function followLight(): void {
  apply();
  dark().addEventListener('change', apply);
}
