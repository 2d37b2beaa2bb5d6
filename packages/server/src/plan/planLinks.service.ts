import type { EntityManager } from '@mikro-orm/postgresql';
import type {
  LinkedPlan,
  LinkUse,
  MakePlanLink,
  NewPlanLink,
  PlanLink as PlanLinkView,
  Practice,
} from '@wide-fern/contract';
import { itemTime } from '@wide-fern/plan';
import { hashOfCode, newCode } from '../access/code';
import { showChoir } from '../choir/choir.service';
import type { Choir } from '../db/entities/choir';
import type { Evening } from '../db/entities/evening';
import { PlanLink } from '../db/entities/plan';
import { notFound, problem } from '../http/problem';
import type { Thing } from '@wide-fern/words';
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

const asView = ({ id, note, use, part, asks, bars, expiresAt }: PlanLink): PlanLinkView => ({
  ...{ id, note, use, part: part ?? null, asks, bars: bars?.length ?? 0 },
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

const isLasting = (use: LinkUse): boolean => use === 'sheet' || use === 'practice';

/** A sheet is read for two weeks and until the evening is over, and so it is practised; a screen follows on that evening. */
function goodUntil(use: LinkUse, { endsAt }: Evening): Date {
  const end = endsAt.getTime();
  if (isLasting(use)) return new Date(Math.max(inTwoWeeks().getTime(), end + day));
  return new Date(Math.max(Date.now() + day / 2, end + day / 24));
}

/** A new link, good for as long as it is needed; its code is told this one time. */
export async function makePlanLink(
  em: EntityManager,
  of: Linked,
  { note, use, part, asks, bars }: MakePlanLink,
): Promise<NewPlanLink> {
  checkItem(of.evening, of.item);
  return em.transactional(async (inner) => {
    await lockChoir(inner, of.choir);
    const here = await inner.count(PlanLink, { ...of, ...isGood() });
    if (here >= mostLinks) throw problem('too_many', { of: 'links', most: mostLinks, here });
    // One for a screen is read aloud, and soon over; one for a whole choir is nobody's to guess.
    const code = newCode(use === 'practice' ? 7 : use === 'sheet' ? 3 : 2);
    const expiresAt = goodUntil(use, of.evening);
    const link = inner.create(PlanLink, {
      ...of,
      ...{ note, use, part: use === 'practice' ? part : null },
      asks: use === 'practice' && asks,
      bars: use === 'practice' && bars.length > 0 ? bars : null,
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

/** A link that is good, of one use. */
export async function goodLink(
  em: EntityManager,
  code: string,
  use: 'sheet' | 'practice',
  thing: Thing,
): Promise<PlanLink> {
  const link = await em.findOne(
    PlanLink,
    { codeHash: hashOfCode(code), use, ...isGood() },
    { populate: ['choir', 'evening'] },
  );
  if (!link) throw notFound(thing);
  return link;
}

/** What a link of one use leads to, as a reader of the choir sees it: the plan as it is now, without persons. */
async function opened(em: EntityManager, code: string, use: 'sheet' | 'practice', thing: Thing) {
  const link = await goodLink(em, code, use, thing);
  const { choir, evening, item } = link;
  const plan = await showPlan(em, choir, evening, item);
  if (!plan) throw notFound(thing);
  const { document } = await discreetPlan(em, choir, plan);
  const { name, timeZone, clock, accidentals, naming } = showChoir(choir);
  const times = { startsAt: evening.startsAt.toISOString(), agenda: evening.agenda };
  const { start, allotted } = itemTime(times, item);
  const startsAt = new Date(start).toISOString();
  return {
    link,
    plan: { choir: name, timeZone, clock, accidentals, naming, startsAt, allotted, document },
  };
}

/** The sheets a link leads to. */
export async function openPlanLink(em: EntityManager, code: string): Promise<LinkedPlan> {
  const { link, plan } = await opened(em, code, 'sheet', 'link');
  return { ...plan, place: link.evening.place };
}

/** What a link leads to that singers practise from. */
export async function openPractice(em: EntityManager, code: string): Promise<Practice> {
  const { link, plan } = await opened(em, code, 'practice', 'practice');
  return { ...plan, part: link.part ?? null, asks: link.asks, bars: link.bars ?? [] };
}
