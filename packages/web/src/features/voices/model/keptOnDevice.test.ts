import { answerCheck, beginCheck, beginGroupCheck, nextNote, tick } from '@wide-fern/core';
import { keptChecks, keptGroupChecks } from './keptOnDevice';

describe('a check that is paused', () => {
  it('goes on where it was, for this person alone', () => {
    const check = answerCheck(answerCheck(beginCheck(64, { light: true }), 'easy'), 'came-out');
    keptChecks.keep('me', 'singer', check);
    expect(keptChecks.read('me', 'singer')).toEqual(check);
    expect(keptChecks.read('you', 'singer')).toBeUndefined();
    keptChecks.keep('me', 'singer', undefined);
    expect(keptChecks.read('me', 'singer')).toBeUndefined();
  });
  it('of a section too', () => {
    const check = nextNote(tick(beginGroupCheck(['a', 'b'], 60), 'a'));
    keptGroupChecks.keep('me', 'choir:S', check);
    expect(keptGroupChecks.read('me', 'choir:S')).toEqual(check);
  });
  it('of an older application goes on by semitones', () => {
    const older = {
      ...{ singers: ['a'], start: 60, way: 'up', note: 63, reached: { up: null, down: null } },
      out: [{ singer: 'a', way: 'up', note: 62 }],
    };
    localStorage.setItem('wide-fern:section-check:me:choir:A', JSON.stringify(older));
    const check = keptGroupChecks.read('me', 'choir:A')!;
    expect(check.out[0]!.sung).toBe(61);
    expect(nextNote(tick(check, 'a')).note).toBe(64);
  });
  it('is not taken up when what lies there is something else', () => {
    localStorage.setItem('wide-fern:check:me:singer', '{"start":5,"light":false,"steps":[]}');
    expect(keptChecks.read('me', 'singer')).toBeUndefined();
  });
});
