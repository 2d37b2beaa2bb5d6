import { wholeChoirSchema, type WholeChoir } from '@wide-fern/contract';

/** The kinds of rows in a choir's file, in the order in which they can be stored. */
export const kinds = [
  'parts',
  'singers',
  'checks',
  'scores',
  'pieces',
  'marks',
  'judgements',
  'judgings',
  'judgingCards',
  'evenings',
  'presence',
  'templates',
  'plans',
  'planVersions',
  'keptPlans',
  'exercises',
  'exerciseVersions',
  'exerciseMarks',
  'runs',
  'runEvents',
] as const satisfies readonly (keyof WholeChoir)[];
export type Kind = (typeof kinds)[number];

/** By which column a row belongs to another, which says whose choir it is or belongs to another itself. */
export interface Through {
  readonly column: string;
  readonly table: string;
  readonly through?: Through;
}

/** Where the rows of a kind are kept. */
interface Table {
  readonly name: string;
  /** The columns that name another row of the file, by the word they have there. */
  readonly refs?: Readonly<Record<string, { readonly to: Kind; readonly column: string }>>;
  /** Columns that are called otherwise in the file. */
  readonly columns?: Readonly<Record<string, string>>;
  /** Whose choir a row is, where it does not say so itself. */
  readonly through?: Through;
  /** Whether its ids are its own, and not only among those of what it belongs to. */
  readonly ownIds?: false;
}

const ofPiece = {
  refs: { piece: { to: 'pieces', column: 'piece_id' } },
  through: { column: 'piece_id', table: 'piece' },
} as const;
const ofEvening = { refs: { evening: { to: 'evenings', column: 'evening_id' } } } as const;

const tables: Readonly<Record<Kind, Table>> = {
  parts: { name: 'voice_part', columns: { end: 'telling_end' } },
  singers: { name: 'singer', refs: { part: { to: 'parts', column: 'part_id' } } },
  checks: {
    name: 'range_check',
    refs: { singer: { to: 'singers', column: 'singer_id' } },
    through: { column: 'singer_id', table: 'singer' },
  },
  scores: { name: 'piece_file' },
  pieces: { name: 'piece', refs: { score: { to: 'scores', column: 'file_id' } } },
  marks: { name: 'piece_mark', ...ofPiece },
  judgements: { name: 'piece_judgement', ...ofPiece },
  judgings: { name: 'piece_judging', ...ofPiece, columns: { group: 'who' } },
  judgingCards: {
    name: 'piece_judging_card',
    refs: { judging: { to: 'judgings', column: 'judging_id' } },
    through: { column: 'judging_id', table: 'piece_judging', through: ofPiece.through },
  },
  evenings: { name: 'evening' },
  presence: {
    name: 'singer_evening',
    refs: { ...ofEvening.refs, singer: { to: 'singers', column: 'singer_id' } },
    through: { column: 'evening_id', table: 'evening' },
  },
  templates: { name: 'evening_template' },
  plans: { name: 'plan', ...ofEvening },
  planVersions: {
    name: 'plan_version',
    refs: { plan: { to: 'plans', column: 'plan_id' } },
    through: { column: 'plan_id', table: 'plan' },
  },
  keptPlans: { name: 'kept_plan' },
  exercises: { name: 'own_exercise' },
  exerciseVersions: {
    name: 'exercise_version',
    refs: { exercise: { to: 'exercises', column: 'exercise_id' } },
    through: { column: 'exercise_id', table: 'own_exercise' },
  },
  exerciseMarks: { name: 'exercise_mark' },
  runs: { name: 'run', ...ofEvening },
  runEvents: {
    name: 'run_event',
    refs: { run: { to: 'runs', column: 'run_id' } },
    through: { column: 'run_id', table: 'run' },
    ownIds: false,
  },
};

const snake = (word: string): string => word.replace(/[A-Z]/g, (one) => `_${one.toLowerCase()}`);

/** A kind's table with its columns: what each is called in the file, and in the database. */
export function tableOf(kind: Kind) {
  const { name, refs = {}, columns = {}, through, ownIds = true } = tables[kind];
  const words = Object.keys(wholeChoirSchema.shape[kind].element.shape);
  const column = (word: string) => refs[word]?.column ?? columns[word] ?? snake(word);
  return {
    ...{ name, refs, through, ownIds },
    columns: words.map((word) => [word, column(word)] as const),
  };
}

/** What of the choir itself is in its file. */
export const settings = Object.keys(wholeChoirSchema.shape.choir.shape).map(
  (word) => [word, snake(word)] as const,
);
