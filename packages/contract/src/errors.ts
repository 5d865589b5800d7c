import { ApiProperty } from '@nestjs/swagger';
import type { KitItemView } from './kit.js';
import { ProblemView } from './problem.js';
import type { ShotView } from './shots.js';

/** Shape of every error answer. */
export class ErrorBody extends ProblemView {
  @ApiProperty({ type: [ProblemView], required: false, description: 'All problems, if there is more than one' })
  problems?: ProblemView[];
  @ApiProperty({ type: Object, additionalProperties: true, required: false, description: 'With 409: the stored document' })
  stored?: ShotView | KitItemView;
}
