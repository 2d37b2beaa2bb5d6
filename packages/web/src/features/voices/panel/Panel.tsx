import { early, lazily, missing } from '../../../ui/lazily';
import { Label } from '../../../ui/words';
import type { PanelKind, PanelProps } from './props';
import { SectionPanel } from './SectionPanel';
import { TonightPanel } from './TonightPanel';

const opening = { room: <Label>Opening …</Label>, absent: missing('This') };
/** Comes right behind the page: a singer is what is chosen first. */
const SingerPanel = lazily(
  early(() => import('./SingerPanel').then(({ SingerPanel: one }) => ({ default: one }))),
  opening,
);
/** Forms, checks and their sound come along when they are opened. */
const CheckPanel = lazily(
  () => import('./CheckPanel').then(({ CheckPanel: one }) => ({ default: one })),
  opening,
);
const EditPanel = lazily(
  () => import('./EditPanel').then(({ EditPanel: one }) => ({ default: one })),
  opening,
);
const SectionCheckPanel = lazily(
  () => import('./SectionCheckPanel').then(({ SectionCheckPanel: one }) => ({ default: one })),
  opening,
);

/** The opened thing, beside the picture and never over it. */
export function Panel({
  kind,
  looked,
  onLook,
  ...props
}: PanelProps & {
  readonly kind: PanelKind;
  readonly looked: number | null;
  readonly onLook: (percent: number | null) => void;
}) {
  const { row } = props;
  if (kind === 'tonight') return <TonightPanel {...props} />;
  if (kind === 'section-check') return <SectionCheckPanel key={props.section.part.id} {...props} />;
  if (row && kind === 'check') {
    const { singer, states } = row;
    const { parts } = props.data.voices;
    const done = () => props.onOpen('singer');
    return (
      <CheckPanel key={singer.id} singer={singer} states={states} parts={parts} onDone={done} />
    );
  }
  if (row && kind === 'edit') return <EditPanel key={row.singer.id} {...props} row={row} />;
  if (row && kind === 'singer') return <SingerPanel key={row.singer.id} {...props} row={row} />;
  return <SectionPanel {...props} looked={looked} onLook={onLook} />;
}
