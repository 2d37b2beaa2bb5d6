import { documentOf } from '../testing/plans';
import { readPlanFile, writePlanFile } from './planFile';

const document = documentOf('coat-off', 'pulley');

describe('a plan as a file', () => {
  it('comes back as it was', () => {
    const read = readPlanFile(writePlanFile('Short and high', document));
    expect(read).toEqual({ kind: 'plan', name: 'Short and high', document });
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
