import { choose, moveTo, takeOut } from './edits';
import { performAll } from './perform';
import { takeBackPart, takeBackWhole } from './takeBack';
import { documentOf, idsOf, tonight } from '../testing/plans';

const then = documentOf('coat-off', 'narrow-hum', 'pulley', 'embers');
const now = performAll(then, [
  takeOut('narrow-hum'),
  choose('pulley', { tempo: 90, pinned: true }),
  moveTo(then, 'embers', 0),
]);
const back = (id: string) => performAll(now, [takeBackPart(now, then, id)!]);

describe('taking back what was', () => {
  it('brings one segment back to where it stood, and touches no other', () => {
    const after = back('narrow-hum');
    const ids = idsOf(after);
    expect(ids).toContain('narrow-hum');
    expect(ids.indexOf('narrow-hum')).toBe(ids.indexOf('coat-off') + 1);
    expect(after.segments.find(({ id }) => id === 'pulley')!.choices.tempo).toBe(90);
  });
  it('chooses as was chosen then, what was not chosen too', () => {
    const { choices } = back('pulley').segments.find(({ id }) => id === 'pulley')!;
    expect(choices).toEqual(then.segments[2]!.choices);
  });
  it('leaves out what was not there, and says where there is nothing to take', () => {
    const more = performAll(then, [takeOut('coat-off')]);
    expect(idsOf(performAll(then, [takeBackPart(then, more, 'coat-off')!]))).not.toContain(
      'coat-off',
    );
    expect(takeBackPart(then, then, 'pulley')).toBeUndefined();
  });
  it('takes it whole on the sections of now', () => {
    const sections = tonight.sections.slice(0, 2);
    const fewer = { ...now, tonight: { ...tonight, sections } };
    const after = performAll(fewer, [takeBackWhole(fewer, then)]);
    expect(idsOf(after)).toEqual(idsOf(then));
    expect(after.tonight.sections).toEqual(sections);
  });
});
