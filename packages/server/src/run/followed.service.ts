import type { EntityManager } from '@mikro-orm/postgresql';
import { stepPrefix, steps, type Followed, type RunNews } from '@wide-fern/contract';
import { actOf, type Touch } from '@wide-fern/core';
import { ledPlan, runAt, upcastStored } from '@wide-fern/plan';
import { hashOfCode } from '../access/code';
import { showChoir } from '../choir/choir.service';
import { PlanLink } from '../db/entities/plan';
import { Run } from '../db/entities/run';
import { notFound, problem } from '../http/problem';
import { lockChoir } from '../keeping/room';
import { discreetPlan } from '../plan/discreetPlan';
import { isGood } from '../plan/planLinks.service';
import { discreetEvents } from './discreetEvents';
import { eventsOf, keepFurther, showRun, showRunEvents } from './run.service';

const forScreens = { use: { $in: ['follow', 'step'] as const } };

/** The link of a screen that follows; a code leads to it, and its own id from then on. */
async function findLink(
  em: EntityManager,
  by: { readonly id: string } | { readonly codeHash: string },
): Promise<PlanLink> {
  const link = await em.findOne(
    PlanLink,
    { ...by, ...forScreens, ...isGood() },
    { populate: ['choir', 'evening'] },
  );
  if (!link) throw notFound('link');
  return link;
}

export const findScreen = (em: EntityManager, id: string): Promise<PlanLink> =>
  findLink(em, { id });

/** Where a code leads, however it is typed. */
export const openRunLink = async (em: EntityManager, code: string): Promise<{ link: string }> => ({
  link: (await findLink(em, { codeHash: hashOfCode(code) })).id,
});

/** Whether a link is still good. */
export const isGoodScreen = async (em: EntityManager, id: string): Promise<boolean> =>
  (await em.count(PlanLink, { id, ...forScreens, ...isGood() })) > 0;

/** What a following screen sees: the run that was begun last, as a reader sees it and without who leads it. */
export async function showFollowed(em: EntityManager, id: string): Promise<Followed> {
  const { choir, evening, item, use } = await findScreen(em, id);
  const { name, timeZone, clock, accidentals, naming } = showChoir(choir);
  const words = { choir: name, timeZone, clock, accidentals, naming, mayStep: use === 'step' };
  const last = await em.findOne(
    Run,
    { choir, evening, item },
    { orderBy: { startedAt: 'desc', id: 'desc' } },
  );
  if (!last) return { ...words, run: null };
  const run = await showRun(em, { choir, evening, item }, last.id);
  const head = await discreetPlan(em, choir, run.head);
  return { ...words, run: { ...run, ledBy: '', head, events: discreetEvents(run.events) } };
}

/** What happened in a followed run so far. */
export async function showFollowedEvents(
  em: EntityManager,
  id: string,
  run: string,
): Promise<RunNews> {
  const { choir, evening, item } = await findScreen(em, id);
  const found = await showRunEvents(em, { choir, evening, item }, run);
  return { ...found, events: discreetEvents(found.events) };
}

const maySteps: ReadonlySet<Touch> = new Set(steps);

/**
 * A touch on a screen that may step: worked out where the run is at that moment, kept once.
 * @returns whether it did anything
 */
export async function stepRun(
  em: EntityManager,
  { link: id, run: runId }: { readonly link: string; readonly run: string },
  step: { readonly id: string; readonly touch: (typeof steps)[number] },
): Promise<boolean> {
  return em.transactional(async (inner) => {
    const { choir, evening, item, use } = await findScreen(inner, id);
    if (use !== 'step') throw problem('not_allowed');
    await lockChoir(inner, choir);
    const run = await inner.findOne(
      Run,
      { id: runId, choir, evening, item },
      { populate: ['head'] },
    );
    if (!run) throw notFound('run');
    const all = await eventsOf(inner, run);
    const event = `${stepPrefix}${step.id}`;
    if (all.some((one) => one.id === event)) return true;
    const plan = ledPlan({ ...run.head, document: upcastStored(run.head.document) });
    const act = maySteps.has(step.touch) ? actOf(runAt(plan, all), step.touch) : undefined;
    if (!act) return false;
    const at = Math.max(Date.now() - run.startedAt.getTime(), ...all.map((one) => one.at), 0);
    await keepFurther(inner, run, [{ id: event, n: all.length, at, act }]);
    return true;
  });
}
