import { hasKeys, type NoteWriting, type Tonight } from '@wide-fern/core';
import type { MomentFact } from '@wide-fern/plan';
import { listInWords } from '../counting';
import { keyNamed, many } from '../ladder/wording';
import { wordingFor } from './words';

const ordinals = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
  'twelfth',
];
const ordinal = (place: number): string => ordinals[place] ?? `${place + 1}th`;

const doing = { rest: 'rest', edge: 'at their edge', out: 'beyond their reach' } as const;

/**
 * What happens at a moment: «Slate steps, third key, C: tenors at their edge», «Slate steps: talk, then C».
 */
export function momentOfPlanInWords(
  moment: MomentFact,
  { sections }: Tonight,
  writing: NoteWriting,
): string {
  if (moment.kind === 'nothing') return 'nothing planned';
  const { segment } = moment.evaluated;
  const { exercise } = segment;
  const wording = wordingFor(sections, segment, writing);
  const key = moment.tonic === undefined ? '' : keyNamed(wording, moment.tonic);
  if (moment.kind === 'talk') return `${exercise.name}: talk${key && `, then ${key}`}`;
  const { kind } = exercise.music;
  const unit = hasKeys(exercise.music)
    ? 'key'
    : kind === 'breath'
      ? 'round'
      : kind === 'body'
        ? 'move'
        : 'time';
  const where = moment.of > 1 ? `, ${ordinal(moment.place)} ${unit}` : '';
  const said = (['out', 'edge', 'rest'] as const).flatMap((does) => {
    const who = moment.parts
      .filter((one) => one.does === does)
      .map(({ part }) => many(wording, part));
    if (who.length === 0) return [];
    return [
      `${who.length > 1 && who.length === sections.length ? 'all' : listInWords(who)} ${doing[does]}`,
    ];
  });
  const ease = hasKeys(exercise.music) ? 'all at ease' : '';
  const parts = said.join('; ') || ease;
  return `${exercise.name}${where}${key && `, ${key}`}${parts && `: ${parts}`}`;
}
