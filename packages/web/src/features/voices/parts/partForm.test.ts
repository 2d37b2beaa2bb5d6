import { plainNames } from '../../../testing/page';
import { arrangements } from '@wide-fern/core';
import { newPartForm, readParts, toPartForm } from './partForm';

const [mixed, eight] = arrangements.map(({ parts }) =>
  parts.map((part) => toPartForm(part, plainNames)),
);

describe('the form of the parts', () => {
  it('gives back every usual set of parts', () => {
    for (const { parts } of arrangements) {
      expect(
        readParts(
          parts.map((part) => toPartForm(part, plainNames)),
          plainNames,
        ),
      ).toEqual({
        kind: 'parts',
        parts,
      });
    }
  });
  it('says at its field what is wrong', () => {
    const wrong = (more: object, forms = mixed!) => {
      const read = readParts(
        forms.map((form, i) => (i === 1 ? { ...form, ...more } : form)),
        plainNames,
      );
      return read.kind === 'wrong' ? Object.keys(read.fields) : [];
    };
    expect(wrong({ comfortLow: 'X' })).toEqual(['1.comfortLow']);
    expect(wrong({ comfortLow: 'D5', comfortHigh: 'A3' })).toEqual(['1.comfortLow']);
    expect(wrong({ id: '2nd' })).toEqual(['1.id']);
    expect(wrong({ id: 'S' })).toEqual(['all']);
    expect(wrong({ many: '' })).toEqual(['1.many']);
    expect(wrong({}, mixed!.slice(0, 1))).toEqual(['all']);
  });
  it('offers a part that is not there yet', () => {
    expect(newPartForm(mixed!.slice(0, 2), plainNames).id).toBe('T');
    expect(newPartForm(mixed!, plainNames).id).toBe('P5');
    expect(newPartForm(eight!, plainNames).id).toBe('S');
  });
});
