import { exerciseSchema, type Exercise } from '@wide-fern/contract';
import { cautions, readWatched, typedProblemInWords } from '@wide-fern/words';
import {
  cautionsNeeded,
  isNote,
  isPitched,
  readChords,
  readLine,
  readMovement,
  readSlide,
  type Accompaniment,
  type Music,
  type PatternEvent,
} from '@wide-fern/core';
import type { ExerciseDraft } from './draft';
import { ofKind } from './further';
import { passesOf, wordsOf } from './passes';

/** What a draft makes: music, or what is wrong in which field. */
export type Made<T> =
  | { readonly kind: 'made'; readonly made: T }
  | { readonly kind: 'wrong'; readonly fields: Readonly<Record<string, string>> };

const wrong = (field: string, message: string) =>
  ({ kind: 'wrong', fields: { [field]: message } }) as const;

const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');

/** Reads a typed line into its events, or says in which field it stops. */
function events(
  text: string,
  field: string,
  { mode }: ExerciseDraft,
): Made<readonly PatternEvent[]> {
  const read = readLine(text, mode);
  return read.kind === 'line'
    ? { kind: 'made', made: read.events }
    : wrong(field, `At character ${read.at + 1}: ${typedProblemInWords(read)}`);
}

/** Steps without lengths, as semitones. */
function steps(text: string, field: string, draft: ExerciseDraft): Made<readonly number[]> {
  const read = events(text, field, draft);
  if (read.kind === 'wrong') return read;
  return { kind: 'made', made: read.made.filter(isNote).map(({ offset }) => offset) };
}

const made = (music: Music): Made<Music> => ({ kind: 'made', made: music });

const timedOf = ({ mode, metre }: ExerciseDraft) => ({ mode, ...(metre ? { metre } : {}) });

function droneOf(draft: ExerciseDraft): Made<Music> {
  const held = steps(draft.held, 'held', draft);
  if (held.kind === 'wrong') return held;
  const common = {
    kind: 'drone' as const,
    ...timedOf(draft),
    held: held.made[0]!,
    holders: draft.holders,
    syllable: draft.syllable,
  };
  if (draft.overText) {
    const lines = linesOf(draft.text);
    if (lines.length === 0) return wrong('text', 'Write the text, one line after the other.');
    const on = steps(draft.textOn, 'textOn', draft);
    if (on.kind === 'wrong') return on;
    const [offset = 0, ...then] = on.made;
    const { textBeats: beats, canonEntries: entries, canonApart: apart } = draft;
    const moves = then.length > 0 || entries > 1;
    if (moves && draft.holders === 'all') {
      return wrong('holders', 'When all chant, nobody is left to move on. Choose who holds.');
    }
    const further = then.length > 0 ? { then } : {};
    const canon = entries > 1 ? { canon: { entries, apart } } : {};
    return made({ ...common, over: { kind: 'text', offset, lines, beats, ...further, ...canon } });
  }
  if (draft.holders === 'all') {
    return wrong('holders', 'When all hold, nobody moves. Choose who holds, or a text.');
  }
  const read = events(draft.line, 'line', draft);
  if (read.kind === 'wrong') return read;
  return made({ ...common, over: { kind: 'line', notes: read.made } });
}

function chordOf(draft: ExerciseDraft): Made<Music> {
  const tones = steps(draft.tones, 'tones', draft);
  if (tones.kind === 'wrong') return tones;
  if (tones.made[0] !== 0) {
    return wrong('tones', 'Begin with the root, 1: the lowest part sings it.');
  }
  return made({
    kind: 'chord',
    ...timedOf(draft),
    tones: tones.made,
    beats: draft.beats,
    syllable: draft.syllable,
    ...(draft.enterApart > 0 ? { apart: draft.enterApart } : {}),
  });
}

/** The music of a draft, by its kind. */
export function musicOf(draft: ExerciseDraft): Made<Music> {
  const { mode, kind } = draft;
  const timed = timedOf(draft);
  switch (kind) {
    case 'pattern': {
      const read = events(draft.line, 'line', draft);
      return read.kind === 'wrong' ? read : made({ kind, ...timed, notes: read.made });
    }
    case 'round': {
      const read = events(draft.line, 'line', draft);
      if (read.kind === 'wrong') return read;
      return made({ kind, ...timed, notes: read.made, entries: draft.entries, apart: draft.apart });
    }
    case 'lines': {
      const read = draft.lines.map((text, i) => events(text, `lines.${i}`, draft));
      const bad = read.find((one) => one.kind === 'wrong');
      if (bad) return bad;
      return made({
        kind,
        ...timed,
        lines: read.flatMap((one) => (one.kind === 'made' ? [one.made] : [])),
      });
    }
    case 'drone':
      return droneOf(draft);
    case 'glide': {
      const read = readSlide(draft.slide, mode);
      if (read.kind === 'problem') {
        return wrong('slide', `At character ${read.at + 1}: ${typedProblemInWords(read)}`);
      }
      return made({ kind, mode, points: read.points, syllable: draft.syllable });
    }
    case 'hold': {
      const syllables = wordsOf(draft.syllables);
      if (syllables.length === 0) return wrong('syllables', 'Write at least one syllable.');
      return made({ kind, ...timed, beats: draft.beats, syllables });
    }
    case 'chord':
      return chordOf(draft);
    case 'breath': {
      if (draft.counts.in + draft.counts.out === 0) {
        return wrong('counts', 'Count at least one beat in or out.');
      }
      return made({ kind, ...draft.counts, increment: draft.growing, outOn: draft.outOn });
    }
    case 'spoken': {
      const lines = linesOf(draft.text);
      if (lines.length === 0) return wrong('text', 'Write what is said, one line after the other.');
      const { metre } = draft;
      return made({ kind, ...(metre ? { metre } : {}), lines, beats: draft.textBeats });
    }
    case 'body': {
      const moves = linesOf(draft.moves);
      if (moves.length === 0) return wrong('moves', 'Write what is done, one move a line.');
      const read = moves.map((line) => readMovement(line, draft.moveSeconds));
      const bad = read.find((one) => one.kind === 'problem');
      if (bad?.kind === 'problem') {
        return wrong(
          'moves',
          `“${bad.word}” is not understood; in brackets write “both sides”, “3 times”, “4 s” or “held 2 s”.`,
        );
      }
      return made({
        kind,
        moves: read.flatMap((one) => (one.kind === 'movement' ? [one.movement] : [])),
      });
    }
  }
}

/** What the instrument plays under it, as far as it is sung at all. */
function playedOf(draft: ExerciseDraft, music: Music): Made<Accompaniment | undefined> {
  const { played, mode } = draft;
  if (played === 'nothing' || !isPitched(music)) return { kind: 'made', made: undefined };
  if (played === 'drone') {
    const tones = steps(draft.playedTones, 'playedTones', draft);
    if (tones.kind === 'wrong') return tones;
    return { kind: 'made', made: { kind: 'drone', tones: tones.made } };
  }
  const read = readChords(draft.playedChords, mode);
  if (read.kind === 'problem') {
    return wrong(
      'playedChords',
      `Chord ${read.chord} is not understood. Write its steps, a colon, its beats: “1 3 5 : 4”.`,
    );
  }
  return { kind: 'made', made: { kind: 'chords', chords: read.chords } };
}

/** The fields of the form by what the schema calls them. */
const fieldOf: Readonly<Record<string, string>> = { usual: 'usual', music: 'music' };

/** The exercise of a draft, checked as the server checks it; its cautions follow what is done in it. */
export function exerciseOf(draft: ExerciseDraft, id: string, version: number): Made<Exercise> {
  const read = musicOf(draft);
  if (read.kind === 'wrong') return read;
  const played = playedOf(draft, read.made);
  if (played.kind === 'wrong') return played;
  const { further } = draft;
  const music = { ...read.made, ...ofKind(draft.kind, further.music) };
  const passes = passesOf(draft);
  const core = {
    phase: draft.phase,
    anchor: draft.anchor,
    ...further.exercise,
    effort: draft.effort,
    needs: [...draft.needs],
    steps: linesOf(draft.steps),
    music,
    ...(passes ? { passes } : {}),
  };
  const needed = cautionsNeeded(core).map((name) => cautions[name]);
  const whole = {
    ...core,
    id,
    version,
    name: draft.name,
    figure: draft.figure.trim() || draft.name,
    purposes: [...draft.purposes],
    purpose: draft.purpose,
    cue: draft.cue,
    ...(draft.image.trim() === '' ? {} : { image: draft.image }),
    ...(draft.breathing === 'together' ? {} : { breathing: draft.breathing }),
    watchFor: linesOf(draft.watchFor).map(readWatched),
    substitutes: draft.substitutes,
    difficulty: draft.difficulty,
    cautions: [...new Set([...needed, ...draft.cautions])].slice(0, 6),
    countIn: draft.countIn,
    breathBeats: draft.breathBeats,
    keyChangeBeats: draft.keyChangeBeats,
    usual: {
      talk: draft.talk,
      demonstrate: draft.demonstration,
      tempo: draft.tempo,
      repetitions: draft.repetitions,
      verses: draft.verses,
      shape: draft.shape,
      step: draft.step,
      ...(draft.bySteps ? { bySteps: true } : {}),
      ...(draft.tempoStep === 0 ? {} : { tempoStep: draft.tempoStep }),
      ...(draft.coach === 0 ? {} : { coach: draft.coach }),
      ...(draft.after === 0 ? {} : { after: draft.after }),
      ...further.usual,
    },
    ...(draft.keys ? { keys: draft.keys } : {}),
    ...(draft.ages.length > 0 ? { ages: [...draft.ages] } : {}),
    ...(draft.relay.trim() === '' ? {} : { relay: draft.relay }),
    ...(draft.source ? { source: draft.source } : {}),
    ...(draft.aim ? { aim: draft.aim } : {}),
    ...(played.made ? { accompaniment: played.made } : {}),
  };
  const checked = exerciseSchema.safeParse(whole);
  if (checked.success) return { kind: 'made', made: checked.data };
  const fields: Record<string, string> = {};
  for (const { path, message } of checked.error.issues) {
    const [first, second] = path.map(String);
    const field =
      first === 'usual' ? (second ?? 'usual') : (fieldOf[first ?? ''] ?? first ?? 'name');
    const words =
      field === 'purposes' && draft.purposes.length === 0 ? 'Choose what it is for.' : message;
    fields[field] ??= words;
  }
  return { kind: 'wrong', fields };
}
