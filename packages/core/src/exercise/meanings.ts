import type { Kind } from './music';
import type { PlaceNeed, Phase, Purpose } from './vocabulary';

/** What a director's word stands for among the exercises: any one of these is enough. */
export interface Meaning {
  /** What is said, in small letters without accents; several words stand in their order. */
  readonly said: readonly string[];
  readonly purposes?: readonly Purpose[];
  readonly kinds?: readonly Kind[];
  readonly phases?: readonly Phase[];
  /** Words that stand in what is searched of an exercise. */
  readonly words?: readonly string[];
}

/** What has to hold besides, for what is said of the singers or the place. */
export interface SaidCondition {
  readonly said: readonly string[];
  readonly mostEffort?: number;
  readonly mostDifficulty?: number;
  readonly leastEffort?: number;
  readonly leastDifficulty?: number;
  readonly without?: readonly PlaceNeed[];
  readonly age?: 'children' | 'changing voices' | 'adults';
}

const list = (words: string): readonly string[] => words.split(', ');

/** What is heard or wanted in a rehearsal, and what is worked on then. */
export const meanings: readonly Meaning[] = [
  {
    said: list(
      'flat, sharp, pitch, pitchy, intonation, out of tune, sagging, sinking, drifting, in tune, tune',
    ),
    purposes: ['tuning', 'listening'],
  },
  {
    said: list('siren, slide, swoop, glissando, glide, slur'),
    kinds: ['glide'],
    words: ['glide', 'slide'],
  },
  {
    said: list('high, high notes, top, top notes, strain, straining, screaming, squeezed, ceiling'),
    purposes: ['top notes', 'light register'],
  },
  { said: list('low, low notes, deep, bottom, growling'), purposes: ['low notes'] },
  {
    said: list('range, stretching up, compass, wider'),
    purposes: ['top notes', 'low notes'],
    phases: ['range'],
  },
  {
    said: list(
      'break, crack, cracking, passaggio, bridge, flip, yodel, register, chest voice, head voice, falsetto, mixed voice',
    ),
    purposes: ['register change', 'light register'],
  },
  {
    said: list(
      'loud, shouting, shouty, pressed, pushing, pushed, forced, forcing, harsh, hard attack, glottal',
    ),
    purposes: ['gentle onset', 'light register', 'blend'],
  },
  {
    said: list('breathy, airy, husky, weak, unfocused tone'),
    purposes: ['gentle onset', 'forward resonance'],
  },
  {
    said: list('dull, dark, swallowed, muffled, covered, woolly, resonance, ring, placement, buzz'),
    purposes: ['forward resonance'],
  },
  {
    said: list('shrill, thin, bright, tinny, spread, palate, yawn, space'),
    purposes: ['open space'],
  },
  {
    said: list(
      'breath, breathing, air, short of breath, out of breath, run out, support, diaphragm, long phrases, phrase',
    ),
    purposes: ['low breath', 'long outflow'],
  },
  {
    said: list('hiss, sss, exhale, sustain'),
    purposes: ['long outflow'],
    words: ['hiss', 'sss', 'ss '],
  },
  {
    said: list(
      'words, text, consonant, mumbling, unclear, diction, pronunciation, tongue twister, articulation',
    ),
    purposes: ['diction'],
    phases: ['articulation'],
  },
  { said: list('vowel, colour, color'), purposes: ['vowel unity'] },
  {
    said: list('fast, runs, coloratura, melisma, quick, nimble, sluggish, clean'),
    purposes: ['agility'],
    phases: ['agility'],
  },
  { said: list('smooth, connected, choppy, legato'), purposes: ['legato'] },
  {
    said: list(
      'crescendo, diminuendo, decrescendo, dynamics, swell, louder, softer, messa di voce, quiet singing',
    ),
    purposes: ['swelling and fading'],
  },
  {
    said: list('chord, chords, harmony, harmonies, triad'),
    purposes: ['tuning'],
    kinds: ['chord'],
    words: ['chord'],
  },
  {
    said: list('ear, ears, ear training, hearing, listen, listening'),
    purposes: ['listening', 'tuning'],
  },
  { said: list('canon, round, catch'), kinds: ['round'], words: ['round', 'canon'] },
  {
    said: list('blend, sticking out, sticks out, ensemble, together, one voice, balance'),
    purposes: ['blend', 'listening'],
  },
  {
    said: list(
      'stiff, tense, tension, tight, relax, relaxing, stretch, stretching, shoulders, neck, jaw, body, shake, movement',
    ),
    purposes: ['loosening', 'posture'],
    phases: ['release'],
  },
  {
    said: list('slouching, slumped, stance, standing tall, alignment, feet'),
    purposes: ['posture'],
  },
  { said: list('massage, face, tongue'), purposes: ['loosening'], words: ['face', 'tongue'] },
  {
    said: list(
      'chatty, noisy, fidgety, restless, attention, concentration, concentrate, focus, settle, calm, nervous, nerves, unsettled',
    ),
    purposes: ['settling', 'listening'],
  },
  {
    said: list('tired, weary, exhausted, after work, hoarse, gentle, recover'),
    purposes: ['loosening', 'settling', 'gentle onset', 'low breath', 'light register'],
  },
  {
    said: list('sleepy, wake, waking, wake up, energy, lively, morning, cold'),
    purposes: ['loosening', 'rhythm', 'posture'],
    phases: ['release'],
  },
  {
    said: list('onset, attack, start of the note, coming in, entries, entry'),
    purposes: ['gentle onset'],
    phases: ['onset'],
  },
  {
    said: list(
      'beat, clap, clapping, pulse, rushing, dragging, syncopation, rhythm, counting, time',
    ),
    purposes: ['rhythm'],
  },
  { said: list('light, lightly'), purposes: ['light register'] },
  { said: list('hum, humming'), words: ['hum'] },
  { said: list('lip trill, lips, bubbles, brr, trill'), words: ['trill', 'lips', 'lip '] },
  { said: list('drone, pedal note'), kinds: ['drone'], words: ['drone'] },
  { said: list('spoken, speech, speaking, chant'), kinds: ['spoken'] },
  {
    said: list('octave, leap, leaps, jump, jumps, interval, intervals, skips'),
    words: ['octave', 'leap', 'skip', 'broken chord'],
  },
  {
    said: list('scale, scales, five notes'),
    words: ['scale', 'five notes', 'five falling', 'steps'],
  },
  { said: list('arpeggio, arpeggios'), words: ['broken chord', 'arpeggio'] },
  { said: list('staccato, short notes, detached'), words: ['staccato', 'short'] },
  {
    said: list('ending, cool down, cooling down, finish, afterwards, goodbye'),
    purposes: ['settling'],
    phases: ['cool-down'],
  },
  { said: list('warm, beginning, first thing, start'), phases: ['release', 'breath', 'onset'] },
];

/** What is said of singers and places. */
export const saidConditions: readonly SaidCondition[] = [
  {
    said: list('children, child, kids, kid, young, primary, school'),
    age: 'children',
    mostDifficulty: 1,
    mostEffort: 3,
  },
  {
    said: list('teenagers, teens, boys, changing, changing voices, youth'),
    age: 'changing voices',
    mostEffort: 2,
  },
  {
    said: list('old, older, seniors, elderly, ageing, aging'),
    age: 'adults',
    mostEffort: 2,
    without: ['floor'],
  },
  {
    said: list('tired, weary, exhausted, after work, hoarse, ill, cold-ridden, recovering'),
    mostEffort: 2,
  },
  { said: list('easy, simple, beginners, beginner, new choir'), mostDifficulty: 1 },
  { said: list('hard, difficult, challenging, advanced'), leastDifficulty: 3 },
  { said: list('gentle, light, soft, softly'), mostEffort: 2 },
  { said: list('strong, demanding, powerful, full voice'), leastEffort: 3 },
  {
    said: list('seated, sitting, sit, chairs, pews, wheelchair'),
    without: ['standing', 'floor'],
  },
  {
    said: list('silent, silently, neighbours, neighbors, church, backstage, quietly'),
    without: ['noise'],
  },
  { said: list('no props, without props, empty hands'), without: ['prop'] },
];
