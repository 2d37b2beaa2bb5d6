import { CheckPanel } from './CheckPanel';
import { EditPanel } from './EditPanel';
import type { PanelKind, PanelProps } from './props';
import { SectionCheckPanel } from './SectionCheckPanel';
import { SectionPanel } from './SectionPanel';
import { SingerPanel } from './SingerPanel';
import { TonightPanel } from './TonightPanel';

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
  if (row && kind === 'check') return <CheckPanel key={row.singer.id} {...props} row={row} />;
  if (row && kind === 'edit') return <EditPanel key={row.singer.id} {...props} row={row} />;
  if (row && kind === 'singer') return <SingerPanel key={row.singer.id} {...props} row={row} />;
  return <SectionPanel {...props} looked={looked} onLook={onLook} />;
}
