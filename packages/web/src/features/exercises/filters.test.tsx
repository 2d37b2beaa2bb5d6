import { fireEvent, screen } from '@testing-library/react';
import { show, tidy } from '../../testing/page';
import { Filters } from './Filters';
import { isNarrowed, useWanted } from './model/wanted';

const wanted = () => useWanted.getState().wanted;
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
afterEach(() => {
  tidy();
  useWanted.getState().wantAll();
});

describe('the sentence of what is looked for', () => {
  it('is changed word by word, several needs at once, and says what holds', async () => {
    await show(<Filters compact={false} />);
    press('anywhere');
    fireEvent.click(screen.getByLabelText('standing'));
    fireEvent.click(screen.getByLabelText('noise'));
    press('everyone sits and nothing loud');
    press('for any purpose');
    fireEvent.click(screen.getByRole('radio', { name: 'tuning' }));
    expect(wanted()).toMatchObject({ without: ['standing', 'noise'], purpose: 'tuning' });
    expect(screen.getByRole('button', { name: 'for tuning' })).toBeTruthy();
    press('show all again');
    expect(wanted()).toEqual({});
  });

  it('says how typed words are taken', async () => {
    await show(<Filters compact={false} />);
    fireEvent.change(screen.getByLabelText('Look for an exercise'), { target: { value: 'flat' } });
    expect(screen.getByRole('status').textContent).toBe('Taken “flat” as tuning or listening.');
  });

  it('gives the word its focus back when its choices are put away by the keyboard', async () => {
    await show(<Filters compact={false} />);
    press('Any exercise');
    fireEvent.keyDown(screen.getByRole('radio', { name: 'Range' }), { key: 'Escape' });
    expect(screen.queryByRole('radiogroup', { name: 'Phase' })).toBeNull();
    expect(document.activeElement?.textContent).toBe('Any exercise');
  });

  it('keeps short beside an opened exercise, but never hides what was said', async () => {
    useWanted.getState().want({ age: 'children' });
    await show(<Filters compact />);
    expect(screen.queryByRole('button', { name: 'of any kind' })).toBeNull();
    expect(screen.getByRole('button', { name: 'fit for children' })).toBeTruthy();
    press('more to choose by');
    expect(screen.getByRole('button', { name: 'of any kind' })).toBeTruthy();
  });

  it('is not narrowed by a need that was ticked and unticked', () => {
    expect(isNarrowed({ without: [], words: '', hidden: false })).toBe(false);
    expect(isNarrowed({ without: ['noise'] })).toBe(true);
  });
});
