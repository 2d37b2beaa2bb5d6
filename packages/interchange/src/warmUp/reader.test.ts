import { exercises } from '@wide-fern/catalogue';
import {
  choirScore,
  computeSegment,
  isPitched,
  mixedChoir,
  usualSections,
  type PieceScore,
} from '@wide-fern/core';
import type { Exercise } from '@wide-fern/contract';
import { parseMidi } from 'midi-file';
import { VerovioToolkit } from 'verovio/esm';
import createVerovioModule from 'verovio/wasm';
import { writeScoreXml } from '../musicxml/writeScoreXml';
import { warmUpScore } from './score';

const sections = usualSections(mixedChoir).map((section) => ({ ...section, singers: 8 }));

function scoreOf(exercise: Exercise) {
  const choices = { ...exercise.usual, start: null };
  const computed = computeSegment({ id: exercise.id, exercise, choices }, { sections, needs: [] });
  return choirScore({ ...exercise, ...choices }, choices.tempo, sections, computed.repetitions)!;
}

/** One exercise of each kind, metre and mode, and of whatever else is written otherwise. */
function oneOfEach(): Exercise[] {
  const found = new Map<string, Exercise>();
  for (const exercise of exercises) {
    const { music, accompaniment, passes } = exercise;
    if (!isPitched(music)) continue;
    const metre = 'metre' in music ? music.metre : undefined;
    const kind = [music.kind, metre, music.mode, accompaniment?.kind, passes?.over];
    const key = JSON.stringify(kind);
    if (!found.has(key) && scoreOf(exercise).keys.length > 0) found.set(key, exercise);
  }
  return [...found.values()];
}

/** What each staff sounds, in order; notes that begin together from the lowest. */
const sounding = (notes: readonly { readonly at: number; readonly midi: number }[]): number[] =>
  [...notes].sort((a, b) => a.at - b.at || a.midi - b.midi).map(({ midi }) => midi);

function written({ staves }: PieceScore): number[][] {
  return staves.map(({ notes }) =>
    sounding(
      notes.flatMap(({ bar, at, midi, tieStop }) =>
        tieStop ? [] : [{ at: 1000 * bar + at, midi }],
      ),
    ),
  );
}

describe('a whole warm-up as MusicXML in a reader that is not ours', () => {
  let reader: VerovioToolkit;
  beforeAll(async () => {
    reader = new VerovioToolkit(await createVerovioModule());
    reader.setOptions({ breaks: 'none' });
  });
  const read = (score: PieceScore): number[][] => {
    expect(Boolean(reader.loadData(writeScoreXml(score)))).toBe(true);
    const { tracks } = parseMidi(Buffer.from(reader.renderToMIDI(), 'base64'));
    // The first one has the tempo.
    return tracks.slice(1).map((track) => {
      let at = 0;
      return sounding(
        track.flatMap((event) => {
          at += event.deltaTime;
          return event.type === 'noteOn' && event.velocity > 0
            ? [{ at, midi: event.noteNumber }]
            : [];
        }),
      );
    });
  };
  const isWithin = (some: readonly number[], all: readonly number[]): boolean => {
    let place = 0;
    for (const one of all) if (one === some[place]) place += 1;
    return place === some.length;
  };

  it('has in every part exactly the notes that are sung', () => {
    const steps = oneOfEach().filter(({ music }) => music.kind !== 'glide');
    expect(steps.length).toBeGreaterThan(15);
    for (const exercise of steps) {
      const score = warmUpScore(exercise.name, [scoreOf(exercise)]);
      expect([exercise.id, read(score)]).toEqual([exercise.id, written(score)]);
    }
    const whole = warmUpScore('Tuesday', steps.slice(0, 8).map(scoreOf));
    expect(read(whole)).toEqual(written(whole));
  });

  it('has the notes that slides begin on, and where they end besides', () => {
    const glides = oneOfEach().filter(({ music }) => music.kind === 'glide');
    expect(glides.length).toBeGreaterThan(0);
    for (const exercise of glides) {
      const score = warmUpScore(exercise.name, [scoreOf(exercise)]);
      const heard = read(score);
      written(score).forEach((notes, staff) => {
        expect(notes.length).toBeGreaterThan(0);
        expect(isWithin(notes, heard[staff]!)).toBe(true);
      });
    }
  });
});
