import { documentOf } from '../testing/plans';
import { broughtAlong, readPlanFile, writePlanFile } from './planFile';
import { evaluate } from '../evaluate';

const document = documentOf('coat-off', 'pulley');

describe('a plan as a file', () => {
  it('comes back as it was', () => {
    const read = readPlanFile(writePlanFile('Short and high', document));
    expect(read).toMatchObject({ kind: 'plan', name: 'Short and high' });
    const back = (read as { document: typeof document }).document;
    expect(back.tonight).toEqual(document.tonight);
    expect(back.segments.map(({ exercise }) => exercise)).toEqual(
      document.segments.map(({ exercise }) => exercise),
    );
    const keys = (of: typeof document) =>
      evaluate(of, 0).segments.map(({ computed }) =>
        computed.repetitions.map(({ tonic }) => tonic),
      );
    expect(keys(back)).toEqual(keys(document));
  });
  it('tells nothing of two who sing a part', () => {
    const sections = document.tonight.sections.map((section, i) =>
      i === 1 ? { ...section, singers: 2, comfort: [58, 63] as [number, number] } : section,
    );
    const text = writePlanFile('x', { ...document, tonight: { ...document.tonight, sections } });
    const read = readPlanFile(text);
    expect(read.kind === 'plan' && read.document.tonight.sections[1]!.comfort).not.toEqual([
      58, 63,
    ]);
  });
  it('brings along what is not known where it is read, each once', () => {
    const twice = documentOf('coat-off', 'pulley', 'pulley');
    expect(broughtAlong(twice, (id) => id === 'coat-off').map(({ id }) => id)).toEqual(['pulley']);
    expect(broughtAlong(twice, () => true)).toEqual([]);
  });
  it('is refused with a sentence where it is none, newer, or damaged', () => {
    const file = (changed: object) =>
      readPlanFile(
        JSON.stringify({ format: 'wide-fern warm-up', name: 'x', document, ...changed }),
      );
    const why = (read: ReturnType<typeof readPlanFile>) => read.kind === 'refused' && read.why;
    expect(why(readPlanFile('{'))).toMatch(/no whole JSON/);
    expect(why(readPlanFile('null'))).toMatch(/holds no warm-up/);
    expect(why(file({ format: 'other' }))).toMatch(/holds no warm-up/);
    expect(why(file({ document: { ...document, schema: 99 } }))).toMatch(/newer/);
    expect(why(file({ document: { ...document, segments: 'none' } }))).toMatch(/damaged/);
    expect(file({ name: ' ' })).toMatchObject({ kind: 'plan', name: 'Warm-up' });
  });
});
