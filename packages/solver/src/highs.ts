import type { Mip, Relaxed, Solved, SolveOptions, Solver } from '@wide-fern/core';
import loadHighs, { type Highs, type Model } from 'highs';

/** Where the machine code of the solver lies, where it cannot find it by itself. */
export interface HighsFiles {
  readonly wasm?: string | undefined;
  /** Whether it is loaded at once, not when it is first asked. */
  readonly loadsAtOnce?: boolean | undefined;
}

/** Rows as the solver takes them: one after the other, by their entries. */
function matrixOf({ columns, rows }: Mip) {
  const starts = new Int32Array(rows.length + 1);
  rows.forEach(({ entries }, i) => {
    starts[i + 1] = starts[i]! + entries.length;
  });
  const indices = new Int32Array(starts[rows.length]!);
  const values = new Float64Array(indices.length);
  rows.forEach(({ entries }, i) => {
    entries.forEach(([column, factor], k) => {
      indices[starts[i]! + k] = column;
      values[starts[i]! + k] = factor;
    });
  });
  return {
    format: 'csr' as const,
    numRows: rows.length,
    numCols: columns.length,
    starts,
    indices,
    values,
  };
}

/** What was found to help and what only takes time here (docs/performance.md). */
const settings = {
  output_flag: false,
  // The same problem gives the same answer everywhere.
  random_seed: 0,
  mip_detect_symmetry: false,
  mip_heuristic_run_rins: false,
  mip_heuristic_run_rens: false,
  mip_heuristic_run_root_reduced_cost: false,
  mip_heuristic_effort: 0,
  mip_allow_restart: false,
} as const;
/** Where few branches are allowed, each is believed at once; otherwise it is tried out a few times before. */
const hurried = { mip_pscost_minreliable: 0, mip_allow_cut_separation_at_nodes: false } as const;
const thorough = { mip_pscost_minreliable: 4 } as const;

function solve(highs: Highs, model: Model, mip: Mip, options: SolveOptions): Solved {
  const { start, timeLimit, mostBranches, gap, onProgress } = options;
  const { modelStatus, callbackType } = highs.constants;
  model.options.set({
    ...settings,
    ...(mostBranches === undefined ? thorough : { ...hurried, mip_max_nodes: mostBranches }),
    ...{ time_limit: timeLimit, mip_rel_gap: 0, mip_abs_gap: gap },
  });
  if (start) model.setSolution({ colValue: Float64Array.from(start) });
  let bound = Infinity;
  model.run({
    [callbackType.mipImprovingSolution]({ data }) {
      bound = data.mip_dual_bound ?? bound;
      onProgress?.({
        value: data.mip_primal_bound ?? -Infinity,
        bound,
        columns: data.mip_solution,
      });
    },
    [callbackType.mipLogging]({ data }) {
      bound = data.mip_dual_bound ?? bound;
      onProgress?.({ value: data.mip_primal_bound ?? -Infinity, bound });
    },
  });
  const status = model.getModelStatus();
  // Every column has bounds, so nothing is unbounded.
  if (status === modelStatus.infeasible || status === modelStatus.unboundedOrInfeasible) {
    return { kind: 'impossible' };
  }
  const { colValue } = model.getSolution();
  const value = model.getObjectiveValue();
  const isBest = status === modelStatus.optimal;
  const hasOne =
    isBest ||
    (colValue.length === mip.columns.length && Number.isFinite(value) && feasible(mip, colValue));
  if (!hasOne) return { kind: 'unknown' };
  // What is proven best within less than a whole point is the best.
  return { kind: 'solution', value, bound: isBest ? value : bound, columns: colValue };
}

const near = 1e-6;
const feasible = ({ rows, columns }: Mip, values: ArrayLike<number>): boolean =>
  columns.every(
    ({ integer }, i) => !integer || Math.abs(values[i]! - Math.round(values[i]!)) < near,
  ) &&
  rows.every(({ lower, upper, entries }) => {
    const sum = entries.reduce((total, [column, factor]) => total + factor * values[column]!, 0);
    return sum >= lower - near && sum <= upper + near;
  });

/** Where there is nothing to choose, all rows are 0. */
const withoutColumns = ({ rows }: Mip): Solved =>
  rows.every(({ lower, upper }) => lower <= 0 && upper >= 0)
    ? { kind: 'solution', value: 0, bound: 0, columns: [] }
    : { kind: 'impossible' };

/** The relaxation, by the simplex method: its dual values say what each column would change. */
function relax(highs: Highs, model: Model): Relaxed {
  const { modelStatus } = highs.constants;
  model.options.set({ output_flag: false, random_seed: 0 });
  model.run();
  const status = model.getModelStatus();
  if (status === modelStatus.infeasible) return { kind: 'impossible' };
  if (status !== modelStatus.optimal) return { kind: 'unknown' };
  const { colValue, colDual } = model.getSolution();
  return {
    kind: 'relaxed',
    bound: model.getObjectiveValue(),
    columns: colValue,
    perUnit: colDual,
  };
}

/** A programme as the solver takes it. */
function modelOf({ infinity, constants }: Highs, mip: Mip, isRelaxed: boolean) {
  const { integer, continuous } = constants.variableType;
  const bounded = (value: number) =>
    value === Infinity ? infinity : value === -Infinity ? -infinity : value;
  return {
    numCols: mip.columns.length,
    numRows: mip.rows.length,
    sense: constants.objectiveSense.maximize,
    colCost: mip.columns.map(({ cost }) => cost),
    colLower: mip.columns.map(({ lower }) => bounded(lower)),
    colUpper: mip.columns.map(({ upper }) => bounded(upper)),
    rowLower: mip.rows.map(({ lower }) => bounded(lower)),
    rowUpper: mip.rows.map(({ upper }) => bounded(upper)),
    ...(isRelaxed
      ? {}
      : { integrality: mip.columns.map((column) => (column.integer ? integer : continuous)) }),
    matrix: matrixOf(mip),
  };
}

/**
 * A solver in this very thread, which waits while it works: for threads of their own. Its machine code is
 * loaded when it is first asked, or at once where that is said.
 */
export function highsSolver({ wasm, loadsAtOnce = false }: HighsFiles = {}): Solver {
  let loading: Promise<Highs> | undefined;
  const load = () => {
    const mine = (loading ??= loadHighs(wasm === undefined ? {} : { locateFile: () => wasm }));
    // What could not be fetched is fetched anew the next time.
    mine.catch(() => {
      if (loading === mine) loading = undefined;
    });
    return mine;
  };
  if (loadsAtOnce) void load();
  return {
    async solve(mip, options) {
      if (mip.columns.length === 0) return withoutColumns(mip);
      const highs = await load();
      return highs.withModel(modelOf(highs, mip, false), (model) =>
        solve(highs, model, mip, options),
      );
    },
    async relax(mip) {
      if (mip.columns.length === 0) return { kind: 'unknown' };
      const highs = await load();
      return highs.withModel(modelOf(highs, mip, true), (model) => relax(highs, model));
    },
  };
}
