import {
  noteName,
  own,
  type NoteWriting,
  type PitchRange,
  type Section,
  partsOfChoir,
  type FoundLine,
  type FoundScore,
  type FoundStaff,
  type Mapping,
  type Reading,
  type Unsure,
} from '@wide-fern/core';
/** How a director says who sings what: each staff read in a way, each of its lines by some parts. */
export interface MappingDraft {
  /** By the staff's id. */
  readonly readings: Readonly<Record<string, Reading>>;
  /** By the line's id. */
  readonly parts: Readonly<Record<string, readonly string[]>>;
  /** By the line's id: printed an octave above where it sounds. */
  readonly octaveLower: Readonly<Record<string, boolean>>;
}

/** What is guessed, in the parts of this choir. */
export function guessedMapping(
  found: FoundScore,
  sections: readonly Pick<Section, 'id'>[],
): MappingDraft {
  const choir = sections.map(({ id }) => id);
  return {
    readings: Object.fromEntries(found.staves.map(({ id, reading }) => [id, reading])),
    parts: Object.fromEntries(
      found.guess.map(({ line, parts }) => [
        line,
        [...new Set(parts.flatMap((name) => partsOfChoir(name, choir)))],
      ]),
    ),
    octaveLower: Object.fromEntries(
      found.guess.map(({ line, octaveLower }) => [line, octaveLower ?? false]),
    ),
  };
}

/** A mapping that was kept, as it can be said anew over the same score. */
export function keptMapping(found: FoundScore, kept: readonly Mapping[]): MappingDraft | undefined {
  const ids = new Set(
    found.staves.flatMap(({ lines }) =>
      Object.values(lines).flatMap((all) => all.map(({ id }) => id)),
    ),
  );
  if (kept.length === 0 || kept.some(({ line }) => !ids.has(line))) return undefined;
  const readingOf = (staff: FoundStaff): Reading =>
    (Object.entries(staff.lines) as [Reading, readonly FoundLine[]][]).find(([, lines]) =>
      lines.some(({ id }) => kept.some(({ line }) => line === id)),
    )?.[0] ?? staff.reading;
  return {
    readings: Object.fromEntries(found.staves.map((staff) => [staff.id, readingOf(staff)])),
    parts: Object.fromEntries(kept.map(({ line, parts }) => [line, parts])),
    octaveLower: Object.fromEntries(
      kept.map(({ line, octaveLower }) => [line, octaveLower ?? false]),
    ),
  };
}

/** The lines that are asked about as the staves are read now. */
export const linesAsked = (found: FoundScore, { readings }: MappingDraft): FoundLine[] =>
  found.staves.flatMap((staff) => [...(staff.lines[readings[staff.id] ?? staff.reading] ?? [])]);

/** Who sings which line, as it is stored. */
export const mappingOf = (
  found: FoundScore,
  draft: MappingDraft,
): { line: string; parts: string[]; octaveLower: boolean }[] =>
  linesAsked(found, draft).map(({ id }) => ({
    line: id,
    parts: [...(draft.parts[id] ?? [])],
    octaveLower: draft.octaveLower[id] ?? false,
  }));

/** The ways a staff can be read, with the words they are chosen by. */
export const readingWords: Readonly<Record<Reading, string>> = {
  'one line': 'one line',
  'two parts': 'two parts, upper and lower',
  'voice by voice': 'voice by voice',
};

/** What the score leaves open, as a question to who knows it. */
export const unsureWords: Readonly<Record<Unsure, string>> = {
  nameless: 'The score does not say who sings this: it is guessed by its place. Is it right?',
  octave:
    'The score does not say in which octave this sounds: it is taken an octave lower than printed. Is it right?',
};

/** Who sings a line, said anew: only low voices read an octave above where they sound. */
export function withParts(
  draft: MappingDraft,
  line: string,
  parts: readonly string[],
  sections: readonly Pick<Section, 'id' | 'octave'>[],
): MappingDraft {
  const isLow = sections.some(({ id, octave }) => octave < 0 && parts.includes(id));
  return {
    ...draft,
    parts: { ...draft.parts, [line]: parts },
    octaveLower: isLow ? draft.octaveLower : { ...draft.octaveLower, [line]: false },
  };
}

/** The parts nobody is asked to sing, and how many lines are asked about. */
export function whoSings<T extends Pick<Section, 'id'>>(
  found: FoundScore,
  draft: MappingDraft,
  sections: readonly T[],
): { readonly nobody: readonly T[]; readonly asked: number } {
  const mapping = mappingOf(found, draft);
  return {
    nobody: sections.filter(({ id }) => mapping.every(({ parts }) => !parts.includes(id))),
    asked: mapping.length,
  };
}

/** What has to be said before a score can be kept; undefined when nothing has. */
export function missingIn(
  title: string,
  found: FoundScore,
  draft: MappingDraft,
  sections: readonly Pick<Section, 'id'>[],
): string | undefined {
  if (title.trim() === '') return 'Write the title first.';
  return whoSings(found, draft, sections).nobody.length === sections.length
    ? 'Say at least for one line who sings it.'
    : undefined;
}

/** «Sopranos D4 to A5 · Basses G2 to D4» */
export const rangesInWords = (
  ranges: Readonly<Record<string, PitchRange | undefined>>,
  sections: readonly Pick<Section, 'id' | 'many'>[],
  writing: NoteWriting,
): string =>
  sections
    .flatMap(({ id, many }) => {
      const range = own(ranges, id);
      if (!range) return [];
      return [`${many} ${range.map((note) => noteName(note, writing)).join(' to ')}`];
    })
    .join(' · ');
