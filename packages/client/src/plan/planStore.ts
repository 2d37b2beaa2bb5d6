import {
  mostFacts,
  type EditFact,
  type Plan,
  type PlanDocument,
  type PlanEdit,
} from '@wide-fern/contract';
import { factsOf, joined, perform, replaceBy, sameSegments, type Merged } from '@wide-fern/plan';
import { createStore, type StoreApi } from 'zustand/vanilla';

/** Where the last change has got to. */
export type Saving =
  | { readonly kind: 'saved'; readonly at: string | null }
  | { readonly kind: 'changed' }
  | { readonly kind: 'saving' }
  /** Kept on this device; tried again by itself. */
  | { readonly kind: 'waiting' }
  | { readonly kind: 'signed-out' }
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'clash'; readonly theirs: Plan };

/** An edit that was done, the one that undoes it, and what it did. */
export interface Step {
  readonly edit: PlanEdit;
  readonly inverse: PlanEdit;
  readonly facts: readonly EditFact[];
}

/** A plan while it is edited. */
export interface PlanState {
  readonly document: PlanDocument;
  /** The document as the server last acknowledged it; the same object when nothing is unsaved. */
  readonly acknowledged: PlanDocument;
  /** The server's version that changes start from; 0 before the first save. */
  readonly version: number;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  /** What was done since the server last acknowledged it. */
  readonly unsaved: readonly EditFact[];
  readonly saving: Saving;
  /** When the server stored the acknowledged document; null before the first save. */
  readonly savedAt: string | null;
  readonly chosen: string | null;
  /** Segments that are chosen beside it: what is done is done to all of them. */
  readonly also: readonly string[];
}

export interface PlanHandling {
  /** Does an edit, and answers with what it did; edits with the same label in a row are undone as one. */
  readonly edit: (edit: PlanEdit, label?: string) => readonly EditFact[];
  readonly undo: () => void;
  readonly redo: () => void;
  /** So many steps back (below 0), or on again, at once. */
  readonly goBack: (steps: number) => void;
  /** Chooses a segment; beside what is chosen already where it is said. */
  readonly choose: (segment: string | null, beside?: 'beside') => void;
  /** Keeps the chosen one chosen while another is chosen, or not any more. */
  readonly keepChosen: () => void;
  readonly chooseOnlyOne: () => void;
  readonly setSaving: (saving: Saving) => void;
  /** The server has stored this document as this version, and heard of these facts. */
  readonly stored: (document: PlanDocument, plan: Plan, told?: readonly EditFact[]) => void;
  /** Shows what someone else saved while nothing was unsaved here. */
  readonly adopt: (plan: Plan) => void;
  /** Goes on from what someone else saved, with what was changed here put on it. */
  readonly rebase: (theirs: Plan, merged: Extract<Merged, { kind: 'merged' }>) => void;
  /** Ends a clash: keeps mine over theirs, or takes theirs. The other one is an undo away. */
  readonly settle: (which: 'mine' | 'theirs') => void;
}

export type PlanStore = StoreApi<PlanState & PlanHandling>;

/** How many steps back are kept. */
const mostSteps = 200;
const pushed = (past: readonly Step[], step: Step) => [...past, step].slice(-mostSteps);

/** The chosen segment, if the document still has it; else its first. */
const stillChosen = (document: PlanDocument, chosen: string | null): string | null =>
  document.segments.some(({ id }) => id === chosen) ? chosen : (document.segments[0]?.id ?? null);

/** After a segment went, the one that now stands in its place is chosen; a new one is chosen itself. */
function nextChosen({ document, chosen }: PlanState, next: PlanDocument): string | null {
  const added = next.segments.find(({ id }) => !document.segments.some((one) => one.id === id));
  if (added) return added.id;
  if (next.segments.some(({ id }) => id === chosen)) return chosen;
  const place = document.segments.findIndex(({ id }) => id === chosen);
  return next.segments[Math.min(Math.max(place, 0), next.segments.length - 1)]?.id ?? null;
}

/** What was done last said once: a row of equal edits is one. */
const joinedFacts = (before: readonly EditFact[], now: readonly EditFact[], joins: boolean) =>
  [...(joins ? before.slice(0, -now.length) : before), ...now].slice(-mostFacts);

/** Two steps as one: what each chose is chosen, and taken back. */
const joinedSteps = (before: Step, { edit, inverse, facts }: Step): Step => ({
  edit: joined(before.edit, edit) ?? edit,
  inverse: joined(inverse, before.inverse) ?? before.inverse,
  facts,
});

/** The document, or the acknowledged one when both say the same: then nothing is unsaved. */
const settled = (document: PlanDocument, { acknowledged }: PlanState): PlanDocument =>
  sameSegments(document, acknowledged) ? acknowledged : document;

/** Takes a step back (or on again): steps that cannot be done any more are passed over. */
function stepped(state: PlanState, from: 'past' | 'future'): Partial<PlanState> | PlanState {
  const isBack = from === 'past';
  const waiting = [...state[from]];
  while (waiting.length > 0) {
    const step = isBack ? waiting.pop()! : waiting.shift()!;
    const performed = perform(state.document, isBack ? step.inverse : step.edit);
    if (!performed) continue;
    const document = settled(performed.document, state);
    const edit = isBack ? step.inverse : step.edit;
    const facts = factsOf(edit, state.document, document);
    return {
      document,
      past: isBack
        ? waiting
        : pushed(state.past, { edit, inverse: performed.inverse, facts: step.facts }),
      future: isBack
        ? [{ edit: performed.inverse, inverse: step.inverse, facts: step.facts }, ...state.future]
        : waiting,
      unsaved: joinedFacts(state.unsaved, facts, false),
      chosen: stillChosen(document, state.chosen),
    };
  }
  return { [from]: waiting };
}

/** After a save: this document is what the server has; facts that were told with it are told. */
function kept(
  state: PlanState,
  stored: PlanDocument,
  { version, savedAt }: Plan,
  told: readonly EditFact[],
): Partial<PlanState> {
  const isAll = state.document === stored;
  return {
    version,
    savedAt,
    acknowledged: stored,
    unsaved: isAll ? [] : state.unsaved.filter((one) => !told.includes(one)),
    saving: isAll ? { kind: 'saved', at: savedAt } : { kind: 'changed' },
  };
}

const baseOf = (theirs: Plan) => ({
  version: theirs.version,
  savedAt: theirs.savedAt,
  acknowledged: theirs.document,
});

/** Theirs in place of what is here: nothing is left to be saved. */
const taken = (state: PlanState, theirs: Plan): Partial<PlanState> => ({
  ...baseOf(theirs),
  document: theirs.document,
  future: [],
  unsaved: [],
  saving: { kind: 'saved', at: theirs.savedAt },
  chosen: stillChosen(theirs.document, state.chosen),
});

const replacing = (now: PlanDocument, before: PlanDocument) => ({
  edit: replaceBy(now),
  inverse: replaceBy(before),
  facts: [{ code: 'replaced' }] as const,
});

function adopted(state: PlanState, theirs: Plan): Partial<PlanState> {
  const lost = state.document.segments.some(
    ({ id }) => !theirs.document.segments.some((one) => one.id === id),
  );
  // What they took out is an undo away here too.
  const step = replacing(theirs.document, state.document);
  return { ...taken(state, theirs), past: lost ? pushed(state.past, step) : state.past };
}

const rebased = (state: PlanState, theirs: Plan, merged: PlanDocument): Partial<PlanState> => ({
  ...baseOf(theirs),
  document: merged,
  saving: { kind: 'changed' },
  chosen: stillChosen(merged, state.chosen),
});

/** A clash settled for one of the two; the other is an undo away. */
function afterClash(state: PlanState, which: 'mine' | 'theirs'): Partial<PlanState> {
  if (state.saving.kind !== 'clash') return state;
  const { theirs } = state.saving;
  const mine = state.document;
  if (which === 'theirs') {
    const past = pushed(state.past, replacing(theirs.document, mine));
    return { ...taken(state, theirs), past };
  }
  const past = pushed(state.past, replacing(mine, theirs.document));
  return { ...baseOf(theirs), past, future: [], saving: { kind: 'changed' } };
}

/** What is chosen beside, with what is chosen now. */
const withChosen = ({ chosen, also }: PlanState): readonly string[] =>
  chosen === null || also.includes(chosen) ? also : [...also, chosen];

/** The segments that what is done is done to, in the plan's order. */
export const chosenTogether = ({ document, chosen, also }: PlanState): readonly string[] =>
  document.segments.flatMap(({ id }) => (id === chosen || also.includes(id) ? [id] : []));

/** A store for one plan, from what the server has of it or from an empty document. */
export function createPlanStore(plan: Plan | null, empty: PlanDocument): PlanStore {
  const document = plan?.document ?? empty;
  let lastLabel: string | undefined;
  return createStore((set, get) => ({
    document,
    acknowledged: document,
    version: plan?.version ?? 0,
    past: [],
    future: [],
    unsaved: [],
    saving: { kind: 'saved', at: plan?.savedAt ?? null },
    savedAt: plan?.savedAt ?? null,
    chosen: document.segments[0]?.id ?? null,
    also: [],
    edit: (edit, label) => {
      const state = get();
      const performed = perform(state.document, edit);
      if (!performed) return [];
      const last = state.past.at(-1);
      const joins = label !== undefined && label === lastLabel && last !== undefined;
      lastLabel = label;
      const facts = factsOf(edit, state.document, performed.document);
      const step = { edit, inverse: performed.inverse, facts };
      const joint = joins ? joinedSteps(last, step) : step;
      set({
        document: performed.document,
        past: pushed(joins ? state.past.slice(0, -1) : state.past, joint),
        future: [],
        unsaved: joinedFacts(state.unsaved, facts, joins),
        chosen: nextChosen(state, performed.document),
      });
      return facts;
    },
    undo: () => {
      lastLabel = undefined;
      set((state) => stepped(state, 'past'));
    },
    redo: () => {
      lastLabel = undefined;
      set((state) => stepped(state, 'future'));
    },
    goBack: (steps) => {
      lastLabel = undefined;
      const from = steps < 0 ? 'past' : 'future';
      for (let i = 0; i < Math.abs(steps); i += 1) set((state) => stepped(state, from));
    },
    choose: (chosen, beside) =>
      set((state) => ({ chosen, also: beside ? withChosen(state) : state.also })),
    keepChosen: () =>
      set(({ chosen, also }) => ({
        also: also
          .filter((id) => id !== chosen)
          .concat(chosen && !also.includes(chosen) ? chosen : []),
      })),
    chooseOnlyOne: () => set({ also: [] }),
    setSaving: (saving) => set({ saving }),
    stored: (stored, plan, told = []) => set((state) => kept(state, stored, plan, told)),
    adopt: (theirs) => {
      lastLabel = undefined;
      set((state) => adopted(state, theirs));
    },
    rebase: (theirs, { document: merged }) => set((state) => rebased(state, theirs, merged)),
    settle: (which) => {
      lastLabel = undefined;
      set((state) => afterClash(state, which));
    },
  }));
}
