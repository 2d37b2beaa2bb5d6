import type { Seconds } from '@wide-fern/core';

/** «13:20», or «1:02:05» from an hour on; whole seconds. */
export function lengthInFigures(seconds: Seconds): string {
  const whole = Math.round(Math.abs(seconds));
  const two = (value: number) => String(value).padStart(2, '0');
  const minutes = Math.floor(whole / 60);
  const text =
    minutes < 60
      ? `${minutes}:${two(whole % 60)}`
      : `${Math.floor(minutes / 60)}:${two(minutes % 60)}:${two(whole % 60)}`;
  return seconds < 0 && whole > 0 ? `−${text}` : text;
}

/** «on time 8 times in 10». */
export function chanceInWords(chance: number): string {
  const tenths = Math.round(chance * 10);
  if (tenths >= 10) return 'on time nearly always';
  if (tenths <= 0) return 'hardly ever on time';
  return `on time ${tenths} ${tenths === 1 ? 'time' : 'times'} in 10`;
}
