import type { Plan, PlanDocument, SavePlan, StoredPlan } from '@wide-fern/contract';
import { merge, replaceBy, sameDocument, smallEditsBetween } from '@wide-fern/plan';
import { call } from '../call/call';
import { spaced } from '../device/spaced';
import { otherOpenWindows, thisWindow } from '../device/windows';
import { planQuery, queryClient, type PlanPlace } from '../queries';
import { startAutosave } from './autosave';
import { dropDraft, findDraft, keepDraft } from './drafts';
import { createPlanStore, type PlanStore } from './planStore';

/**
 * Makes the store of a plan. Changes of this person that never reached the server are taken up
 * again; when the plan went on without them meanwhile they are put on it, or, where both changed the
 * same, that is a clash like any other.
 */
export async function openPlan(
  place: PlanPlace,
  plan: Plan | null,
  empty: PlanDocument,
  account: string,
): Promise<PlanStore> {
  const store = createPlanStore(plan, empty);
  const draft = findDraft(place, account, await otherOpenWindows());
  if (!draft) return store;
  // From now on it is this window's own.
  dropDraft(place, draft.window);
  const { document, base } = draft;
  if (plan && sameDocument(document, plan.document)) return store;
  const { edit, setSaving } = store.getState();
  const wentOn = plan !== null && draft.version !== plan.version;
  const merged = wentOn && base ? merge(base, document, plan.document) : undefined;
  if (merged?.kind === 'merged') merged.edits.forEach((one) => edit(one));
  else edit(replaceBy(document));
  if (wentOn && merged?.kind !== 'merged') setSaving({ kind: 'clash', theirs: plan });
  else setSaving({ kind: 'changed' });
  const { version, acknowledged } = store.getState();
  keepDraft(place, thisWindow, {
    version: wentOn && merged?.kind === 'merged' ? version : draft.version,
    document: store.getState().document,
    base: merged?.kind === 'merged' ? acknowledged : base,
    changedAt: draft.changedAt,
    account,
  });
  return store;
}

/** Sends what changed where that is little: some hundred bytes, where the document may have many thousand. */
function sendPlan(
  params: PlanPlace,
  { version, document, edits }: SavePlan,
  base: PlanDocument,
): Promise<StoredPlan> {
  const changes = version > 0 ? smallEditsBetween(base, document) : undefined;
  return changes
    ? call('changePlan', { params, body: { version, changes, edits } })
    : call('savePlan', { params, body: { version, document, edits } });
}

/** While something is pulled the plan changes with every movement; on this device it is kept so often (ms). */
const keptEvery = 200;

/** Saves a plan by itself, as long as it is open; answers with a way to save at once, and one to end. */
export function keepPlanSaved(
  store: PlanStore,
  place: PlanPlace,
  account: string,
): { readonly saveNow: () => void; readonly end: () => void } {
  const keeping = spaced(keptEvery, () => {
    const { version, document, acknowledged } = store.getState();
    const changedAt = new Date().toISOString();
    keepDraft(place, thisWindow, { version, document, base: acknowledged, changedAt, account });
  });
  const autosave = startAutosave(store, {
    save: async (body, base) => {
      const stored = await sendPlan(place, body, base);
      const saved = { ...stored, document: body.document };
      queryClient.setQueryData(planQuery(place).queryKey, saved);
      return saved;
    },
    current: async () => (await call('showPlan', { params: place })).plan,
    keep: (unsaved) => {
      if (unsaved) keeping.ask();
      else {
        keeping.callOff();
        dropDraft(place, thisWindow);
      }
    },
    later: (ms, action) => {
      const timer = window.setTimeout(action, ms);
      return () => window.clearTimeout(timer);
    },
  });
  const saveNow = () => {
    keeping.now();
    void autosave.saveNow();
  };
  const moments = ['online', 'focus', 'pagehide'] as const;
  for (const moment of moments) window.addEventListener(moment, saveNow);
  return {
    saveNow,
    end: () => {
      for (const moment of moments) window.removeEventListener(moment, saveNow);
      // Whoever leaves the page at once still has the last change stored.
      saveNow();
      autosave.stop();
    },
  };
}

/** Someone else saved, and nothing is unsaved here: show it. What is unsaved meets it when saving. */
export function takeNews(store: PlanStore, newest: Plan): void {
  const { version, document, acknowledged, saving, adopt } = store.getState();
  // What is on its way to the server may be what it tells of.
  if (saving.kind !== 'saved') return;
  if (newest.version > version && document === acknowledged) adopt(newest);
}
