import {
  sectionSchema,
  exerciseSchema,
  musicSchema,
  pitchRange,
  planDocumentSchema,
  planSchemaVersion,
  signUpSchema,
  storeEveningSchema,
} from './index';

const firstMessage = (result: { error?: { issues: readonly { message: string }[] } | undefined }) =>
  result.error?.issues[0]?.message;

describe('what crosses a boundary', () => {
  it('has its limits the right way round, in words', () => {
    expect(pitchRange.safeParse([60, 72]).success).toBe(true);
    expect(firstMessage(pitchRange.safeParse([72, 60]))).toContain('must not lie above');
    const band = { id: 'S', one: 'a', many: 'b', octave: 0, singers: 1, suits: true };
    const wrong = sectionSchema.safeParse({ ...band, comfort: [60, 72], reach: [61, 74] });
    expect(firstMessage(wrong)).toBe('The comfort must lie inside the reach.');
  });
  it('tells the kinds of music apart', () => {
    const chord = { kind: 'chord', mode: 'major', tones: [0, 4, 7], beats: 4, syllable: 'noo' };
    expect(musicSchema.parse(chord)).toEqual(chord);
    expect(musicSchema.safeParse({ ...chord, kind: 'fugue' }).success).toBe(false);
    const silent = { kind: 'pattern', mode: 'major', notes: [{ rest: true, beats: 4 }] };
    expect(firstMessage(musicSchema.safeParse(silent))).toBe('A line needs a note.');
  });
  it('keeps cues short enough to be said', () => {
    const cue = exerciseSchema.shape.cue;
    expect(cue.safeParse('x'.repeat(90)).success).toBe(true);
    expect(firstMessage(cue.safeParse('x'.repeat(91)))).toBe('At most 90 characters.');
  });
  it('knows one schema of plans', () => {
    const sections = [
      {
        id: 'S',
        one: 'soprano',
        many: 'sopranos',
        octave: 0,
        singers: 0,
        suits: true,
        comfort: [62, 79],
        reach: [59, 81],
      },
    ];
    const plan = { schema: planSchemaVersion, tonight: { sections, needs: [] }, segments: [] };
    expect(planDocumentSchema.safeParse(plan).success).toBe(true);
    expect(planDocumentSchema.safeParse({ ...plan, schema: planSchemaVersion + 1 }).success).toBe(
      false,
    );
    const twice = { ...plan, tonight: { sections: [...sections, ...sections], needs: [] } };
    expect(firstMessage(planDocumentSchema.safeParse(twice))).toBe(
      'Each part may stand here once.',
    );
  });
  it('tidies what is typed, and refuses what cannot be', () => {
    const person = {
      name: ' Wren ',
      email: ' Wren@Example.org ',
      password: 'long enough now',
      choir: 'C',
      timeZone: 'UTC',
    };
    expect(signUpSchema.parse(person)).toMatchObject({ name: 'Wren', email: 'wren@example.org' });
    const evening = {
      date: '2030-02-30',
      start: '19:30',
      end: '21:30',
      place: 'x',
      name: null,
      occasion: 'morning',
      forbids: [],
      agenda: [],
    };
    expect(firstMessage(storeEveningSchema.safeParse(evening))).toBe('Choose a date.');
  });
});
