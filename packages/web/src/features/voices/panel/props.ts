import type { Row, SectionView } from '../model/section';
import type { ReadyVoices } from '../model/useVoices';

/** What the panel beside the picture shows. */
export type PanelKind = 'section' | 'singer' | 'check' | 'edit' | 'section-check' | 'tonight';

export interface PanelProps {
  readonly data: ReadyVoices;
  readonly section: SectionView;
  /** All of them, the highest first. */
  readonly sections: readonly SectionView[];
  /** Whose part is not decided yet; they belong to no section. */
  readonly undecided: readonly Row[];
  readonly place: number;
  readonly row: Row | undefined;
  readonly onOpen: (kind: PanelKind) => void;
}
