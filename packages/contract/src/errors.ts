import { ApiProperty } from '@nestjs/swagger';
import type { KitItemView } from './kit.js';
import type { ShotView } from './shots.js';

export class ProblemView {
  @ApiProperty({ type: String, description: 'Stable code, for programs' })
  code!: string;
  @ApiProperty({ type: String, description: 'What is wrong' })
  message!: string;
  @ApiProperty({ type: String, description: 'Path into the request body; empty for the whole request' })
  path!: string;
  @ApiProperty({ type: String, description: 'A value or action that would be accepted' })
  need!: string;
}

/** Shape of every error answer. */
export class ErrorBody extends ProblemView {
  @ApiProperty({ type: [ProblemView], required: false, description: 'All problems, if there is more than one' })
  problems?: ProblemView[];
  @ApiProperty({ type: Object, additionalProperties: true, required: false, description: 'With 409: the stored document' })
  stored?: ShotView | KitItemView;
}
