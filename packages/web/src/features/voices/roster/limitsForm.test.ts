import { plainNames } from '../../../testing/page';
import { mixedChoir } from '@wide-fern/core';
import { readForm, toForm } from './limitsForm';

const parts = [...mixedChoir];
const form = { ...toForm(undefined, 'B', plainNames), name: 'Ash Tarn' };
const wrong = (more: Partial<typeof form>) => {
  const read = readForm({ ...form, ...more }, parts, plainNames);
  return read.kind === 'wrong' ? read.fields : {};
};

describe('the form of a singer', () => {
  it('takes a singer without a range, and one with', () => {
    expect(readForm(form, parts, plainNames)).toMatchObject({
      singer: { comfort: null, reach: null },
    });
    const known = { ...form, comfortLow: 'G2', comfortHigh: 'd4', reachHigh: 'E4' };
    expect(readForm(known, parts, plainNames)).toMatchObject({
      singer: { comfort: [43, 62], reach: [43, 64] },
    });
  });
  it('is filled from a singer with notes as names', () => {
    const singer = {
      id: '',
      version: 3,
      name: 'Ash',
      part: 'B',
      also: ['T'],
      comfort: [43, 61] as const,
      reach: [40, 64] as const,
      lightTop: null,
      changes: [],
      states: ['tired' as const],
      onLeave: true,
      notes: 'n',
      checkedOn: null,
    };
    expect(toForm(singer, 'S', { ...plainNames, accidentals: 'sharps' })).toMatchObject({
      part: 'B',
      comfortHigh: 'C♯4',
      lightTop: '',
      onLeave: true,
    });
  });
  it('says at each field what is wrong', () => {
    expect(Object.keys(wrong({ name: ' ' }))).toEqual(['name']);
    expect(wrong({ comfortLow: 'X2', comfortHigh: 'D4' })).toHaveProperty('comfortLow');
    expect(wrong({ comfortLow: 'G2' })).toEqual({ comfortHigh: 'A range needs both easy notes.' });
    expect(wrong({ comfortLow: 'D4', comfortHigh: 'G2' }).comfortLow).toMatch(/lies above/);
    expect(wrong({ comfortLow: 'G2', comfortHigh: 'C6' }).comfortHigh).toMatch(/octave/);
    expect(wrong({ comfortLow: 'G2', comfortHigh: 'D4', reachLow: 'A2' }).reachLow).toMatch(
      /at least as low/,
    );
  });
});
