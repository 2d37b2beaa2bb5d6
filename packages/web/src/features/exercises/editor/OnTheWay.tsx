import { Tick } from '../../../ui/Tick';
import { withFields, type Further } from './model/further';
import { Figure, type DraftProps } from './musicParts';

/** Whether every pass is counted in, and the shake-out after every so many. */
export function OnTheWay({
  draft,
  set,
  counted,
}: Pick<DraftProps, 'draft' | 'set'> & { readonly counted: boolean }) {
  const { further } = draft;
  const { reset, countInEach = false } = further.usual;
  const change = (changed: { [K in keyof Further['usual']]?: Further['usual'][K] | undefined }) =>
    set({ further: { ...further, usual: withFields(further.usual, changed) } });
  return (
    <>
      {counted && (
        <Tick
          checked={countInEach}
          onChange={(on) => change({ countInEach: on ? true : undefined })}
        >
          count in every time
        </Tick>
      )}
      <Figure
        labelWidth="92px"
        label="Shake out for"
        value={reset?.seconds ?? 0}
        limits={[0, 120]}
        step={5}
        unit={reset ? 's' : 's: never'}
        onChange={(seconds) =>
          change({ reset: seconds > 0 ? { seconds, every: reset?.every ?? 4 } : undefined })
        }
      />
      {reset && (
        <Figure
          labelWidth="92px"
          label="after every"
          value={reset.every}
          limits={[1, 24]}
          unit={reset.every === 1 ? 'time' : 'times'}
          onChange={(every) => change({ reset: { ...reset, every: Math.round(every) } })}
        />
      )}
    </>
  );
}
