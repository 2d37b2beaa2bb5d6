import { waitFor } from '@testing-library/react';
import { createPlanStore } from '@wide-fern/client';
import { emptyDocument, nothingAsked, type BuildRequest } from '@wide-fern/plan';
import { planOf, tonight } from '@wide-fern/plan/testing';
import type { Builder } from '../../../here/building/builder';
import { keepWish } from '../../../here/building/keptWish';
import { ReadyToBuild } from '../../../here/building/ReadyToBuild';
import { eveningFor } from '../../../testing/evening';
import { ids, show, tidy } from '../../../testing/page';
import { serve } from '../../../testing/served';
import { BuildView } from './BuildView';

const evening = eveningFor(8);
const empty = emptyDocument(tonight);
afterEach(tidy);

/** A builder that hears what it is asked and never answers. */
function heard() {
  const prepared: BuildRequest[] = [];
  const weighed: BuildRequest[] = [];
  const never = () => new Promise<never>(() => undefined);
  const nothing = () => undefined;
  const builder: Builder = {
    ...{ ready: nothing, stop: nothing, end: nothing, solve: never },
    prepare: (request) => (prepared.push(request), never()),
    weigh: (request) => (weighed.push(request), never()),
  };
  return { prepared, weighed, makeBuilder: () => builder };
}

const known = () =>
  serve({
    showExercises: () => ({ own: [], marks: {}, lastUsed: {} }),
    listEvenings: () => ({ items: [], next: null }),
  });

describe('getting ready to build', () => {
  it('works out ahead just what the page of building will ask first, with what was asked before', async () => {
    keepWish([ids.account, ids.choir, evening.id, 'warm-up'], { ...nothingAsked, quiet: true });
    known();
    const { prepared, weighed, makeBuilder } = heard();
    await show(<ReadyToBuild {...{ evening, makeBuilder }} item="warm-up" document={empty} />);
    await waitFor(() => expect(prepared).toHaveLength(1));
    tidy();
    keepWish([ids.account, ids.choir, evening.id, 'warm-up'], { ...nothingAsked, quiet: true });
    known();
    const store = createPlanStore(planOf(empty), empty);
    await show(
      <BuildView {...{ evening, store, makeBuilder }} item="warm-up" onClose={() => undefined} />,
    );
    await waitFor(() => expect(weighed).toHaveLength(1));
    expect(weighed[0]!.quiet).toBe(true);
    expect(prepared[0]).toEqual(weighed[0]);
  });

  it('leaves the page alone where it cannot be done', async () => {
    known();
    const { makeBuilder } = heard();
    let asked = 0;
    const failing = (): Builder => ({
      ...makeBuilder(),
      prepare: () => {
        asked += 1;
        return Promise.reject(new Error('Not fetched.'));
      },
    });
    await show(
      <>
        <p>Nothing is planned.</p>
        <ReadyToBuild {...{ evening }} item="warm-up" document={empty} makeBuilder={failing} />
      </>,
    );
    await waitFor(() => expect(asked).toBe(1));
    expect(document.body.textContent).toContain('Nothing is planned.');
  });
});
