import { fireEvent, screen } from '@testing-library/react';
import { sectionPicture, type SectionPicture } from '@wide-fern/core';
import { useState } from 'react';
import { show, tidy } from '../../../testing/page';
import { singerNamed, sopranosTonight } from '../testing/choir';
import { aroundStep, aroundTop, levelAfterKey, pitchAxis } from './geometry';
import { ShareCurve } from './ShareCurve';
import { SingerRows } from './SingerRows';

const singers = Array.from({ length: 6 }, (_, i) =>
  singerNamed(`Singer ${i}`, i + 1, { comfort: [58 + i, 74 + i], reach: [56 + i, 77 + i] }),
);
const section = sopranosTonight(singers);
const here = section.rows.map(({ singer, range }) => ({ id: singer.id, states: [], ...range! }));
const axis = pitchAxis([[56, 82]], { left: 200, right: 1000 });
afterEach(tidy);

describe('the share curve', () => {
  const asked: number[] = [];
  function Curve() {
    const [wanted, setWanted] = useState<number>();
    const share = (wanted ?? 5) / singers.length;
    const picture: SectionPicture = sectionPicture(here, share);
    return (
      <ShareCurve
        picture={picture}
        here={here}
        axis={axis}
        width={1000}
        hue="green"
        register={{ zone: [70, 74], asked: 0 }}
        writing="flats"
        onWanted={(count) => {
          asked.push(count);
          setWanted(count);
        }}
      />
    );
  }
  const level = () => screen.getByRole('slider');
  const text = () => level().getAttribute('aria-valuetext');
  beforeEach(() => {
    asked.length = 0;
  });

  it('says how many are wanted and which band that makes', async () => {
    await show(<Curve />);
    expect(text()).toMatch(/^5 of 6; [A-G]/);
    expect(level().getAttribute('aria-valuemax')).toBe('6');
  });

  it('is moved by keys, and its band grows when fewer are wanted', async () => {
    await show(<Curve />);
    const wide = () => text()!.split('; ')[1];
    const before = wide();
    fireEvent.keyDown(level(), { key: 'ArrowDown' });
    expect(text()).toMatch(/^4 of 6/);
    expect(wide()).not.toBe(before);
    fireEvent.keyDown(level(), { key: 'End' });
    fireEvent.keyDown(level(), { key: 'ArrowUp' });
    expect(text()).toMatch(/^6 of 6/);
    fireEvent.keyDown(level(), { key: 'Home' });
    expect(text()).toMatch(/^1 of 6/);
  });

  it('is dragged, and stays within one and all', async () => {
    await show(<Curve />);
    const at = (clientY: number) => ({ clientY, clientX: 500, buttons: 1, pointerId: 1 });
    fireEvent.pointerDown(level(), at(60));
    expect(asked).toEqual([]);
    fireEvent.pointerMove(level(), at(-400));
    expect(asked.at(-1)).toBe(6);
    fireEvent.pointerMove(level(), at(900));
    fireEvent.pointerUp(level(), at(900));
    expect(asked.at(-1)).toBe(1);
  });

  it('offers the levels around it', async () => {
    await show(<Curve />);
    const around = screen.getAllByText(/^(easy )?for \d:$/);
    fireEvent.click(around.at(-1)!);
    expect(asked).toHaveLength(1);
  });
});

describe('the lines beside the curve', () => {
  it('never stand in the words at the level, wherever it is, and stay on the drawing', () => {
    for (let level = 26; level <= 138; level += 1) {
      for (const line of [0, 1, 2].map((i) => aroundTop(level) + aroundStep * i)) {
        // Words of 13 px stand from 10 above their line to 4 below it; the level's line is 4 lower.
        expect(Math.abs(line - (level + 4))).toBeGreaterThanOrEqual(13);
        expect(line).toBeGreaterThan(12);
        expect(line).toBeLessThan(158);
      }
    }
  });
});

describe('the level a key leads to', () => {
  it('goes by one, or to the ends, and never beyond', () => {
    expect(levelAfterKey('ArrowRight', 3, 6)).toBe(4);
    expect(levelAfterKey('ArrowLeft', 1, 6)).toBe(1);
    expect(levelAfterKey('ArrowUp', 6, 6)).toBe(6);
    expect([levelAfterKey('Home', 3, 6), levelAfterKey('End', 3, 6)]).toEqual([1, 6]);
    expect(levelAfterKey('Enter', 3, 6)).toBeUndefined();
  });
});

describe('the singers of a section', () => {
  const showRows = (count: number) => {
    const many = Array.from({ length: count }, (_, i) => singerNamed(`Singer ${i}`, i + 1));
    const { rows } = sopranosTonight(many);
    const chosen: string[] = [];
    return show(
      <SingerRows
        rows={rows}
        axis={axis}
        width={1000}
        hue="green"
        chosen={undefined}
        band={[60, 76]}
        mostRows={12}
        rowHeight={26}
        onChoose={(id: string) => chosen.push(id)}
      />,
    ).then(() => chosen);
  };
  const rows = () => screen.queryAllByRole('option');

  it('are a row each, and can be chosen', async () => {
    const chosen = await showRows(3);
    expect(rows()).toHaveLength(3);
    fireEvent.click(rows()[1]!);
    expect(chosen).toHaveLength(1);
  });
  it('of two thousand are drawn only where they are in view', async () => {
    await showRows(2000);
    expect(rows().length).toBeLessThan(120);
  });
});
