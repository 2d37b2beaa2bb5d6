import type { EntityManager } from '@mikro-orm/postgresql';
import type {
  LinkedPlan,
  LinkUse,
  MakePlanLink,
  NewPlanLink,
  PlanLink as PlanLinkView,
} from '@wide-fern/contract';
import { itemTime } from '@wide-fern/plan';
import { hashOfCode, newCode } from '../access/code';
import { showChoir } from '../choir/choir.service';
import type { Choir } from '../db/entities/choir';
import type { Evening } from '../db/entities/evening';
import { PlanLink } from '../db/entities/plan';
import { notFound, problem } from '../http/problem';
import { lockChoir } from '../keeping/room';
import { inTwoWeeks } from '../time/grace';
import { discreetPlan } from './discreetPlan';
import { checkItem, showPlan } from './plan.service';

/** Links of one plan that are good at once. */
const mostLinks = 20;
const day = 24 * 60 * 60_000;

/** What links of a plan belong to. */
export interface Linked {
  readonly choir: Choir;
  readonly evening: Evening;
  readonly item: string;
}

export const isGood = () => ({ expiresAt: { $gt: new Date() } });

const asView = ({ id, note, use, expiresAt }: PlanLink): PlanLinkView => ({
  id,
  note,
  use,
  expiresAt: expiresAt.toISOString(),
});

/** The links of a plan that are good, the oldest first. */
export async function listPlanLinks(em: EntityManager, of: Linked): Promise<PlanLinkView[]> {
  const good = await em.find(
    PlanLink,
    { ...of, ...isGood() },
    { orderBy: { createdAt: 'asc', id: 'asc' } },
  );
  return good.map(asView);
}

/** A sheet is read for two weeks and until the evening is over; a screen follows on that evening. */
function goodUntil(use: LinkUse, { endsAt }: Evening): Date {
  const end = endsAt.getTime();
  if (use === 'sheet') return new Date(Math.max(inTwoWeeks().getTime(), end + day));
  return new Date(Math.max(Date.now() + day / 2, end + day / 24));
}

/** A new link, good for as long as it is needed; its code is told this one time. */
export async function makePlanLink(
  em: EntityManager,
  of: Linked,
  { note, use }: MakePlanLink,
): Promise<NewPlanLink> {
  checkItem(of.evening, of.item);
  return em.transactional(async (inner) => {
    await lockChoir(inner, of.choir);
    const here = await inner.count(PlanLink, { ...of, ...isGood() });
    if (here >= mostLinks) throw problem('too_many', { of: 'links', most: mostLinks, here });
    // One for a screen is read aloud, and soon over.
    const code = newCode(use === 'sheet' ? 3 : 2);
    const expiresAt = goodUntil(use, of.evening);
    const link = inner.create(PlanLink, {
      ...of,
      note,
      use,
      codeHash: hashOfCode(code),
      expiresAt,
    });
    await inner.flush();
    return { ...asView(link), code };
  });
}

export async function endPlanLink(em: EntityManager, of: Linked, id: string): Promise<void> {
  if ((await em.nativeDelete(PlanLink, { id, ...of })) === 0) throw notFound('link');
}

/** What a link leads to, as a reader of the choir sees it: the plan as it is now, without persons. */
export async function openPlanLink(em: EntityManager, code: string): Promise<LinkedPlan> {
  const link = await em.findOne(
    PlanLink,
    { codeHash: hashOfCode(code), use: 'sheet', ...isGood() },
    { populate: ['choir', 'evening'] },
  );
  if (!link) throw notFound('link');
  const { choir, evening, item } = link;
  const plan = await showPlan(em, choir, evening, item);
  if (!plan) throw notFound('link');
  const { document } = await discreetPlan(em, choir, plan);
  const { name, timeZone, clock, accidentals, naming } = showChoir(choir);
  const times = { startsAt: evening.startsAt.toISOString(), agenda: evening.agenda };
  const { start, allotted } = itemTime(times, item);
  return {
    ...{ choir: name, timeZone, clock, accidentals, naming, place: evening.place },
    ...{ startsAt: new Date(start).toISOString(), allotted, document },
  };
}
