import { Injectable } from '@nestjs/common';
import { Subject } from 'rxjs';

/** What was stored of a shot. */
export type News =
  | { readonly kind: 'saved'; readonly shotId: string; readonly version: number }
  /** A take was logged, changed, deleted or restored */
  | { readonly kind: 'taken'; readonly shotId: string };

/** What was stored of shots, for pages that show them. */
@Injectable()
export class ShotNews {
  readonly all = new Subject<News>();
}
