import { answerCheck, beginCheck, beginSectionCheck, nextNote, tick } from '@wide-fern/core';
import { keptChecks, keptSectionChecks } from './keptOnDevice';

describe('a check that is paused', () => {
  it('goes on where it was, for this person alone', () => {
    const check = answerCheck(answerCheck(beginCheck(64, true), 'easy'), 'came-out');
    keptChecks.keep('me', 'singer', check);
    expect(keptChecks.read('me', 'singer')).toEqual(check);
    expect(keptChecks.read('you', 'singer')).toBeUndefined();
    keptChecks.keep('me', 'singer', undefined);
    expect(keptChecks.read('me', 'singer')).toBeUndefined();
  });
  it('of a section too', () => {
    const check = nextNote(tick(beginSectionCheck(['a', 'b'], 60), 'a'));
    keptSectionChecks.keep('me', 'choir:S', check);
    expect(keptSectionChecks.read('me', 'choir:S')).toEqual(check);
  });
  it('is not taken up when what lies there is something else', () => {
    localStorage.setItem('wide-fern:check:me:singer', '{"start":5,"light":false,"steps":[]}');
    expect(keptChecks.read('me', 'singer')).toBeUndefined();
  });
});
