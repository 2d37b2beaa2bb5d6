import type { ChangePlan, Plan, PlanDocument, SavePlan } from '@wide-fern/contract';
import { choose, emptyDocument, moveTo, performAll, takeOut } from '@wide-fern/plan';
import { documentOf, idsOf, planOf, tonight } from '@wide-fern/plan/testing';
import { thisWindow } from '../device/windows';
import { findDraft, keepDraft } from './drafts';
import { createPlanStore } from './planStore';
import { keepPlanSaved, openPlan, takeNews } from './session';

const place = { choir: 'choir', evening: 'evening', item: 'warm-up' };
const base = documentOf('coat-off', 'narrow-hum', 'pulley');
const empty = emptyDocument(tonight);
const open = (plan: Plan | null) => openPlan(place, plan, empty, 'me');
const left = (window: string) => findDraft(place, 'me', () => false)?.window === window;

/** What a window that is closed left behind. */
const leave = (
  document: PlanDocument,
  more: { version?: number; base?: PlanDocument | null; account?: string } = {},
) =>
  keepDraft(place, 'closed', {
    version: 1,
    document,
    base,
    changedAt: '2026-12-01T18:00:00.000Z',
    account: 'me',
    ...more,
  });

const shorter = performAll(base, [takeOut('narrow-hum')]);
const slower = performAll(base, [choose('pulley', { tempo: 60 })]);
beforeEach(() => localStorage.clear());

describe('a plan that is opened', () => {
  it('is the server’s, or empty where there is none yet', async () => {
    expect((await open(planOf(base))).getState().document).toEqual(base);
    const none = (await open(null)).getState();
    expect([none.document, none.version]).toEqual([empty, 0]);
  });

  it('takes up what never reached the server, and makes it this window’s own', async () => {
    leave(shorter);
    const { document, saving } = (await open(planOf(base))).getState();
    expect(idsOf(document)).toEqual(['coat-off', 'pulley']);
    expect(saving).toEqual({ kind: 'changed' });
    expect(left(thisWindow)).toBe(true);
  });

  it('lets a draft go that the server has already', async () => {
    leave(shorter);
    const { saving } = (await open(planOf(shorter, 2))).getState();
    expect(saving.kind).toBe('saved');
    expect(findDraft(place, 'me', () => false)).toBeUndefined();
  });

  it('leaves another person’s draft where it is', async () => {
    leave(shorter, { account: 'you' });
    expect((await open(planOf(base))).getState().document).toEqual(base);
    expect(findDraft(place, 'you', () => false)).toBeDefined();
  });

  it('puts what was left behind on what others did, where they touched something else', async () => {
    leave(shorter);
    const { document, saving, version } = (await open(planOf(slower, 2))).getState();
    expect(idsOf(document)).toEqual(['coat-off', 'pulley']);
    expect(document.segments.find(({ id }) => id === 'pulley')!.choices.tempo).toBe(60);
    expect([saving, version]).toEqual([{ kind: 'changed' }, 2]);
    // The next version is stored over the one that was seen now.
    expect(findDraft(place, 'me', () => false)).toMatchObject({ version: 2, base: slower });
  });

  it('asks where both changed the same', async () => {
    const faster = performAll(base, [choose('pulley', { tempo: 96 })]);
    leave(slower);
    const store = await open(planOf(faster, 2));
    const { document, saving } = store.getState();
    expect(document).toEqual(slower);
    expect(saving).toMatchObject({ kind: 'clash', theirs: { version: 2 } });
  });

  it('asks where it is not known what the change began from', async () => {
    leave(shorter, { base: null });
    const { saving } = (await open(planOf(slower, 2))).getState();
    expect(saving.kind).toBe('clash');
  });

  it('can take back what was taken up', async () => {
    leave(shorter);
    const store = await open(planOf(base));
    store.getState().undo();
    expect(store.getState().document).toEqual(base);
  });
});

describe('news of a plan', () => {
  it('shows where nothing is unsaved', () => {
    const store = createPlanStore(planOf(base), empty);
    takeNews(store, planOf(shorter, 2));
    expect(store.getState()).toMatchObject({ document: shorter, version: 2 });
  });
  it('waits where something is, and is nothing where it is old', () => {
    const store = createPlanStore(planOf(base, 3), empty);
    takeNews(store, planOf(shorter, 2));
    expect(store.getState().document).toBe(base);
    store.getState().edit(choose('pulley', { tempo: 60 }));
    store.getState().setSaving({ kind: 'changed' });
    takeNews(store, planOf(shorter, 4));
    expect(store.getState().version).toBe(3);
  });
});

describe('a plan that saves itself', () => {
  const real = globalThis.fetch;
  const asked: { method: string; url: string; body: SavePlan | ChangePlan | undefined }[] = [];
  beforeEach(() => {
    asked.length = 0;
    globalThis.fetch = (url, init) => {
      const body = init?.body ? (JSON.parse(init.body as string) as SavePlan) : undefined;
      asked.push({ method: init?.method ?? 'GET', url: url as string, body });
      const answer = body ? planOf(base, body.version + 1) : { plan: null };
      return Promise.resolve(new Response(JSON.stringify(answer)));
    };
  });
  afterEach(() => {
    globalThis.fetch = real;
  });
  const until = async (holds: () => boolean) => {
    for (let i = 0; i < 400 && !holds(); i += 1) {
      await new Promise((done) => setTimeout(done));
    }
    expect(holds()).toBe(true);
  };

  it('is stored when that is asked for, and then kept no longer on the device', async () => {
    const store = createPlanStore(planOf(base), empty);
    const { saveNow, end } = keepPlanSaved(store, place, 'me');
    store.getState().edit(takeOut('narrow-hum'));
    expect(left(thisWindow)).toBe(true);
    saveNow();
    await until(() => store.getState().saving.kind === 'saved');
    expect(asked).toMatchObject([{ method: 'PUT', body: { version: 1 } }]);
    expect(store.getState().version).toBe(2);
    expect(findDraft(place, 'me', () => false)).toBeUndefined();
    end();
  });

  it('is kept on the device with the first of many changes, and with the last when the page is left', async () => {
    const store = createPlanStore(planOf(base), empty);
    const { end } = keepPlanSaved(store, place, 'me');
    const tempoKept = () =>
      findDraft(place, 'me', () => false)?.document.segments.find(({ id }) => id === 'pulley')!
        .choices.tempo;
    for (const tempo of [60, 61, 62]) store.getState().edit(choose('pulley', { tempo }));
    expect(tempoKept()).toBe(60);
    window.dispatchEvent(new Event('pagehide'));
    expect(tempoKept()).toBe(62);
    store.getState().edit(choose('pulley', { tempo: 63 }));
    await until(() => tempoKept() === 63);
    end();
  });

  it('is stored as what changed where that is little, and whole where a segment came or went', async () => {
    const store = createPlanStore(planOf(base), empty);
    const { saveNow, end } = keepPlanSaved(store, place, 'me');
    const { edit } = store.getState();
    edit(choose('pulley', { tempo: 60 }));
    edit(choose('pulley', { tempo: 66 }));
    edit(moveTo(store.getState().document, 'pulley', 0));
    saveNow();
    await until(() => store.getState().saving.kind === 'saved');
    expect(asked).toMatchObject([
      {
        method: 'POST',
        url: '/api/choirs/choir/evenings/evening/plans/warm-up/changes',
        body: {
          version: 1,
          changes: [
            { kind: 'choose', id: 'pulley', choices: { tempo: 66 } },
            { kind: 'move', id: 'pulley', after: null },
          ],
        },
      },
    ]);
    expect(asked[0]!.body).not.toHaveProperty('document');
    expect(store.getState().version).toBe(2);
    // What comes next changes what was stored now.
    edit(choose('pulley', { tempo: 70 }));
    saveNow();
    await until(() => asked.length === 2 && store.getState().saving.kind === 'saved');
    expect(asked[1]!.body).toMatchObject({
      version: 2,
      changes: [{ kind: 'choose', id: 'pulley', choices: { tempo: 70 } }],
    });
    edit(takeOut('narrow-hum'));
    saveNow();
    await until(() => asked.length === 3 && store.getState().saving.kind === 'saved');
    expect(asked[2]).toMatchObject({ method: 'PUT', body: { version: 3 } });
    end();
  });

  it('is stored whole the first time', async () => {
    const store = createPlanStore(null, base);
    const { saveNow, end } = keepPlanSaved(store, place, 'me');
    store.getState().edit(choose('pulley', { tempo: 60 }));
    saveNow();
    await until(() => store.getState().saving.kind === 'saved');
    expect(asked).toMatchObject([{ method: 'PUT', body: { version: 0 } }]);
    end();
  });

  it('is stored when the page comes back, and when it is left', async () => {
    const store = createPlanStore(planOf(base), empty);
    const { end } = keepPlanSaved(store, place, 'me');
    store.getState().edit(takeOut('narrow-hum'));
    window.dispatchEvent(new Event('online'));
    await until(() => store.getState().saving.kind === 'saved');
    store.getState().edit(takeOut('pulley'));
    end();
    await until(() => asked.length === 2);
    expect(asked[1]!.body!.version).toBe(2);
    window.dispatchEvent(new Event('focus'));
    expect(asked).toHaveLength(2);
  });
});
