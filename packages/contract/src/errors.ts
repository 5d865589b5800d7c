import { ApiProperty } from '@nestjs/swagger';
import type { KitItemView } from './kit.js';
import type { ShotView } from './shots.js';

export class ProblemView {
  @ApiProperty({ type: String, description: 'Short and stable, for programs' })
  code!: string;
  @ApiProperty({ type: String, description: 'What is wrong' })
  message!: string;
  @ApiProperty({ type: String, description: 'Where, as a path into what was sent; empty for the request as a whole' })
  path!: string;
  @ApiProperty({ type: String, description: 'What would do' })
  need!: string;
}

/** Shape of every error answer. */
export class ErrorBody extends ProblemView {
  @ApiProperty({ type: [ProblemView], required: false, description: 'All problems found, when there is more than one' })
  problems?: ProblemView[];
  @ApiProperty({ type: Object, additionalProperties: true, required: false, description: 'With 409: what is stored' })
  stored?: ShotView | KitItemView;
}
