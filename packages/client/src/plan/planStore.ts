import type { Plan, PlanDocument } from '@wide-fern/contract';
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Edit } from '@wide-fern/plan';

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

/** A plan while it is edited. */
export interface PlanState {
  readonly document: PlanDocument;
  /** The document as the server last acknowledged it; the same object when nothing is unsaved. */
  readonly acknowledged: PlanDocument;
  /** The server's version that changes start from; 0 before the first save. */
  readonly version: number;
  readonly past: readonly PlanDocument[];
  readonly future: readonly PlanDocument[];
  readonly saving: Saving;
  readonly chosen: string | null;
}

export interface PlanActions {
  /** Applies an edit; edits with the same label in a row are undone as one. */
  readonly edit: (edit: Edit, label?: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly choose: (segment: string | null) => void;
  readonly setSaving: (saving: Saving) => void;
  /** The server has stored this document as this version. */
  readonly stored: (document: PlanDocument, plan: Plan) => void;
  /** Shows what someone else saved; one's own state is an undo away. */
  readonly adopt: (plan: Plan) => void;
  /** Ends a clash: keeps mine over theirs, or takes theirs. The other one is an undo away. */
  readonly settle: (which: 'mine' | 'theirs') => void;
}

export type PlanStore = StoreApi<PlanState & PlanActions>;

/** How many steps back are kept. */
const mostSteps = 200;
const pushed = (past: readonly PlanDocument[], document: PlanDocument) =>
  [...past, document].slice(-mostSteps);

/** The chosen segment, if the document still has it; else its first. */
const stillChosen = (document: PlanDocument, chosen: string | null): string | null =>
  document.segments.some(({ id }) => id === chosen) ? chosen : (document.segments[0]?.id ?? null);

/** A store for one plan, from what the server has of it or from an empty document. */
export function createPlanStore(plan: Plan | null, empty: PlanDocument): PlanStore {
  const document = plan?.document ?? empty;
  let lastLabel: string | undefined;
  return createStore((set) => ({
    document,
    acknowledged: document,
    version: plan?.version ?? 0,
    past: [],
    future: [],
    saving: { kind: 'saved', at: plan?.savedAt ?? null },
    chosen: document.segments[0]?.id ?? null,
    edit: (edit, label) =>
      set((state) => {
        const next = edit(state.document);
        if (next === state.document) return state;
        const joins = label !== undefined && label === lastLabel && state.past.length > 0;
        lastLabel = label;
        const added = next.segments.find(
          ({ id }) => !state.document.segments.some((one) => one.id === id),
        );
        return {
          document: next,
          past: joins ? state.past : pushed(state.past, state.document),
          future: [],
          chosen: added?.id ?? nextChosen(state, next),
        };
      }),
    undo: () =>
      set((state) => {
        const before = state.past[state.past.length - 1];
        if (!before) return state;
        lastLabel = undefined;
        return {
          document: before,
          past: state.past.slice(0, -1),
          future: [state.document, ...state.future],
          chosen: stillChosen(before, state.chosen),
        };
      }),
    redo: () =>
      set((state) => {
        const [after, ...rest] = state.future;
        if (!after) return state;
        lastLabel = undefined;
        return {
          document: after,
          past: pushed(state.past, state.document),
          future: rest,
          chosen: stillChosen(after, state.chosen),
        };
      }),
    choose: (chosen) => set({ chosen }),
    setSaving: (saving) => set({ saving }),
    stored: (stored, { version, savedAt }) =>
      set((state) => ({
        version,
        acknowledged: stored,
        saving: state.document === stored ? { kind: 'saved', at: savedAt } : { kind: 'changed' },
      })),
    adopt: (theirs) =>
      set((state) => ({
        document: theirs.document,
        acknowledged: theirs.document,
        version: theirs.version,
        past: pushed(state.past, state.document),
        future: [],
        saving: { kind: 'saved', at: theirs.savedAt },
        chosen: stillChosen(theirs.document, state.chosen),
      })),
    settle: (which) =>
      set((state) => {
        if (state.saving.kind !== 'clash') return state;
        const { theirs } = state.saving;
        lastLabel = undefined;
        const mine = state.document;
        const base = { version: theirs.version, acknowledged: theirs.document, future: [] };
        if (which === 'mine') {
          const past = pushed(state.past, theirs.document);
          return { ...base, past, saving: { kind: 'changed' } };
        }
        return {
          ...base,
          document: theirs.document,
          past: pushed(state.past, mine),
          saving: { kind: 'saved', at: theirs.savedAt },
          chosen: stillChosen(theirs.document, state.chosen),
        };
      }),
  }));
}

/** After a segment went, the one that now stands in its place is chosen. */
function nextChosen(state: PlanState, next: PlanDocument): string | null {
  if (next.segments.some(({ id }) => id === state.chosen)) return state.chosen;
  const place = state.document.segments.findIndex(({ id }) => id === state.chosen);
  return next.segments[Math.min(Math.max(place, 0), next.segments.length - 1)]?.id ?? null;
}
