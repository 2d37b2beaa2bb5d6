import type { Presence, Singer } from '@wide-fern/contract';
import { mixedChoir, usualTrims } from '@wide-fern/core';
import { singerNamed, voices } from '../testing/choir';
import { rowsTonight, sectionView, trimOf, type VoicesSetting } from './section';
import { rowState, sectionSentence, tonightInWords } from './words';
import { absenceInWords, conditionInWords, statesInWords, trimInWords } from '@wide-fern/words';

const soprano = mixedChoir[0]!;
const singer = (name: string, more: Partial<Singer> = {}): Singer =>
  singerNamed(name, 0, { id: name, ...more });
const setting = (presence?: Presence, date?: string): VoicesSetting => ({ voices, presence, date });
const section = (singers: readonly Singer[], at = setting(), share = 0.85) =>
  sectionView(soprano, rowsTonight(singers, at), at, share);
const sentence = (singers: readonly Singer[], at = setting(), share = 0.85) =>
  sectionSentence(section(singers, at, share), 'tonight', 'flats');

describe('a section tonight', () => {
  it('lists its singers by their low end, whoever has no range last, and nobody on leave', () => {
    const { rows } = section([
      singer('unknown', { comfort: null, reach: null }),
      singer('high', { comfort: [64, 80] }),
      singer('low', { comfort: [60, 76] }),
      singer('gone', { onLeave: true }),
      singer('alto', { part: 'A' }),
    ]);
    expect(rows.map((row) => row.singer.name)).toEqual(['low', 'high', 'unknown']);
  });
  it('takes the larger trim off, except from whoever was checked on the day', () => {
    const at = setting(
      { condition: 'after-work', singers: [{ singer: 'b', away: false, states: ['ill'] }] },
      '2026-12-01',
    );
    const rows = rowsTonight(
      [singer('a'), singer('b'), singer('c', { checkedOn: '2026-12-01', states: ['returning'] })],
      at,
    );
    expect(rows.map(({ range }) => range?.comfort)).toEqual([
      [62, 78],
      [63, 77],
      [62, 79],
    ]);
    expect(rows.map((row) => trimOf(row, at))).toEqual([
      { top: 1, bottom: 0 },
      { top: 2, bottom: 1 },
      { top: 0, bottom: 0 },
    ]);
  });
  it('does without whoever is away, and shows them', () => {
    const at = setting({
      condition: 'rested',
      singers: [{ singer: 'narrow', away: true, states: [] }],
    });
    const {
      section: band,
      rows,
      picture,
    } = section([singer('a'), singer('narrow', { comfort: [66, 70] })], at);
    expect(band).toMatchObject({ comfort: [62, 79], singers: 1 });
    expect(picture?.singers).toBe(1);
    expect(rows.map(rowState)).toEqual(['', 'away']);
  });
});

describe('the sentence of a section', () => {
  const many = Array.from({ length: 12 }, (_, i) => singer(`s${i}`));
  it('says what it can sing and for how many', () => {
    expect(sentence(many)).toBe(
      'Sopranos tonight: D4 to G5, each note easy for at least eleven of twelve.',
    );
    expect(sentence(many, setting(), 1)).toMatch(/easy for all twelve\.$/);
    expect(sentence(many.slice(0, 1))).toBe(
      'Sopranos tonight: D4 to G5, as the one soprano here sings.',
    );
  });
  it('says what stands in when nobody is known, and when no note suits', () => {
    expect(sentence([])).toMatch(/^Sopranos: nobody is on the roster yet/);
    expect(sentence([singer('a', { comfort: null, reach: null })])).toMatch(
      /no range is known yet/,
    );
    const away = setting({
      condition: 'rested',
      singers: [{ singer: 'a', away: true, states: [] }],
    });
    expect(sentence([singer('a')], away)).toMatch(/nobody is here/);
    expect(
      sentence([singer('a', { comfort: [62, 64] }), singer('b', { comfort: [70, 72] })]),
    ).toMatch(/no note is easy for two of two/);
  });
});

describe('words about a singer', () => {
  const words = (one: Singer, at = setting()) => {
    const [row] = rowsTonight([one], at);
    return tonightInWords(row!, trimOf(row!, at), at.presence?.condition ?? 'rested', 'flats');
  };
  it('say how they are and what that does', () => {
    expect(words(singer('a'))).toBe('Easy tonight: D4 to G5.');
    expect(words(singer('a', { states: ['returning'] }))).toBe(
      'Returning, so two semitones off the top and a semitone off the bottom: E♭4 to F5.',
    );
    const afterWork = setting({ condition: 'after-work', singers: [] });
    expect(words(singer('a'), afterWork)).toBe(
      'After a working day, so a semitone off the top: D4 to G♭5.',
    );
    expect(words(singer('a', { comfort: null, reach: null }))).toMatch(/No range is known/);
    expect(words(singer('a', { checkedOn: '2026-12-01' }), setting(undefined, '2026-12-01'))).toBe(
      'Checked today, so as it was found: D4 to G5.',
    );
  });
  it('stand beside the name', () => {
    const states = rowsTonight(
      [
        singer('a', { also: ['A'] }),
        singer('b', { states: ['tired'], also: ['A'] }),
        singer('c', { comfort: null, reach: null }),
      ],
      setting(),
    ).map(rowState);
    expect(states).toEqual(['also A', 'tired', 'not checked yet']);
  });
});

describe('words about an evening', () => {
  it('name what a condition does to everyone', () => {
    const { conditions } = usualTrims;
    expect(conditionInWords('rested', conditions.rested)).toBe('');
    expect(conditionInWords('cold', conditions.cold)).toBe(
      'cold, or illness about: each top two semitones lower and each low end a semitone higher',
    );
    expect(trimInWords({ top: 0, bottom: 0 })).toBe('');
  });
  it('name what it changes how singers are', () => {
    const say = (comfort: [number, number]) => statesInWords('basses', comfort, [47, 66], 'flats');
    expect(say([48, 65])).toBe(
      'as they are tonight, the basses’ band narrows from B2–G♭4 to C3–F4',
    );
    expect(say([46, 66])).toMatch(/widens from B2–G♭4 to B♭2–G♭4/);
    expect(say([48, 67])).toMatch(/moves/);
    expect(say([47, 66])).toBeUndefined();
  });
  it('name what absence costs a section, or gives it', () => {
    const basses = { one: 'bass', many: 'basses' };
    const say = (away: number, comfort: [number, number]) =>
      absenceInWords({ ...basses, away, comfort }, [43, 62], 'flats');
    expect(say(0, [43, 60])).toBeUndefined();
    expect(say(2, [43, 61])).toBe('two basses away: the basses lose D4');
    expect(say(1, [45, 64])).toBe('one bass away: the basses lose G2 to A♭2 and gain E♭4 to E4');
    expect(say(1, [43, 62])).toBe('one bass away; their band stays');
  });
});
