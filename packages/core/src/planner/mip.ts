/** A column of a mixed-integer programme: what a unit of it is worth, and between what it lies. */
export interface Column {
  readonly cost: number;
  readonly lower: number;
  readonly upper: number;
  readonly integer: boolean;
}

/** A row: a sum of columns that lies between two bounds; infinite where it has none. */
export interface Row {
  readonly lower: number;
  readonly upper: number;
  readonly entries: readonly (readonly [column: number, factor: number])[];
}

/** A mixed-integer programme that is to be maximised. */
export interface Mip {
  readonly columns: readonly Column[];
  readonly rows: readonly Row[];
}

/** How long a solver may look, and what it is told and tells meanwhile. */
export interface SolveOptions {
  /** A solution to begin from; it need not be the best. */
  readonly start?: readonly number[] | undefined;
  /** It stops after so many seconds with what it has. */
  readonly timeLimit: number;
  /** And after so many branches, where it is said. */
  readonly mostBranches?: number | undefined;
  /** It is content when no solution can be better by this much. */
  readonly gap: number;
  /** Told of every better solution, and of what is still possible. */
  readonly onProgress?: ((progress: SolveProgress) => void) | undefined;
}

/** The best so far, and the most that is still possible. */
export interface SolveProgress {
  readonly value: number;
  readonly bound: number;
  readonly columns?: ArrayLike<number> | undefined;
}

/** What a solver answers: a solution with the most that any could have, that there is none, or that it did not find out. */
export type Solved =
  | {
      readonly kind: 'solution';
      readonly value: number;
      readonly bound: number;
      readonly columns: ArrayLike<number>;
    }
  | { readonly kind: 'impossible' }
  | { readonly kind: 'unknown' };

/** What a programme's relaxation answers, in which every column may be a fraction. */
export type Relaxed =
  | {
      readonly kind: 'relaxed';
      /** No solution has more. */
      readonly bound: number;
      readonly columns: ArrayLike<number>;
      /** What each column beyond its bound would change for each unit, at least that much for the worse. */
      readonly perUnit: ArrayLike<number>;
    }
  | { readonly kind: 'impossible' }
  | { readonly kind: 'unknown' };

/** The one interface to whatever solves mixed-integer programmes. */
export interface Solver {
  readonly solve: (mip: Mip, options: SolveOptions) => Promise<Solved>;
  readonly relax: (mip: Mip) => Promise<Relaxed>;
}
