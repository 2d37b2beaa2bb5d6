import type { Articulation, Dynamic, StaffNote } from '@wide-fern/core';
import { element, type Element } from '../xml/element';

const signOf: Readonly<Record<Articulation, string>> = {
  bound: 'tenuto',
  short: 'staccato',
  weighty: 'accent',
};

/** How a note is begun, and the breath after it. */
export function articulationsOf(
  { articulation, breathAfter }: StaffNote,
  first: boolean,
  last: boolean,
): Element | false {
  const signs = [
    ...(first && articulation ? [element(signOf[articulation])] : []),
    ...(last && breathAfter ? [element('breath-mark')] : []),
  ];
  return signs.length > 0 && element('articulations', {}, signs);
}

/** What grows or fades from here, or has grown as far as here. */
export const wedge = (type: 'crescendo' | 'diminuendo' | 'stop'): Element =>
  element(
    'direction',
    { placement: 'above' },
    element('direction-type', {}, element('wedge', { type })),
  );

/** The printed loudness from here on. */
export const loudness = (dynamic: Dynamic): Element =>
  element(
    'direction',
    { placement: 'above' },
    element('direction-type', {}, element('dynamics', {}, element(dynamic))),
  );
