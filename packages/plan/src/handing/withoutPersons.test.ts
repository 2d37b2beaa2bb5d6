import { arrangements } from '@wide-fern/core';
import { evaluate } from '../evaluate';
import { documentOf, tonight } from '../testing/plans';
import { withoutPersons } from './withoutPersons';

const parts = arrangements[0]!.parts;
const setting = { share: 0.85 };
const planned = documentOf('pulley', 'slate-steps');
const sections = tonight.sections.map((section, i) =>
  i === 0
    ? { ...section, singers: 2, away: 1, comfort: [62, 77] as const, reach: [60, 79] as const }
    : section,
);
const document = { ...planned, tonight: { ...tonight, sections } };

describe('a plan without persons', () => {
  it('has the usual figures where fewer than three sing, and the keys that are sung', () => {
    const told = withoutPersons(document, parts, setting);
    const [soprano, alto] = told.tonight.sections;
    expect(soprano!.comfort).toEqual(parts[0]!.comfort);
    expect(soprano!.singers).toBe(0);
    expect(soprano!.away).toBeUndefined();
    expect(alto!.comfort).toEqual(sections[1]!.comfort);
    const tonics = (of: typeof document) =>
      evaluate(of, 0).segments.map(({ computed }) =>
        computed.repetitions.map(({ tonic }) => tonic),
      );
    expect(tonics(told as typeof document)).toEqual(tonics(document));
  });
  it('is as it was where no section tells of anybody', () => {
    expect(withoutPersons(planned, parts, setting)).toBe(planned);
  });
  it('knows nothing of a part that nobody knows but what everybody sings', () => {
    const told = withoutPersons(document, [], setting);
    expect(told.tonight.sections[0]!.comfort).toEqual([36, 84]);
  });
});
