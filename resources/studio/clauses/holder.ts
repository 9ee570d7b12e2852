import type { Offered, Proof, Source, WholeBrief } from '../api/client';

/** Whoever has a brief that clauses read and change: the bench, and the list of entries. */
export interface Holder {
  readonly brief?: WholeBrief | undefined;
  readonly sources: Source[];
  /** What there is to choose from, where a clause names things. */
  readonly offered?: Offered | undefined;
  /** Figures of what was collected, where the holder knows them. */
  readonly proof?: Proof | undefined;
  change(how: (brief: WholeBrief) => void): void;
}
