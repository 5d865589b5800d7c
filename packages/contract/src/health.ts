import { ApiProperty } from '@nestjs/swagger';
import { ProblemView } from './problem.js';

/** State of a server that answers. */
export class HealthView {
  @ApiProperty({ enum: ['ok', 'warning'], description: 'warning: something will fail soon' })
  status!: 'ok' | 'warning';
  @ApiProperty({ type: [ProblemView], description: 'What is wrong' })
  warnings!: ProblemView[];
  @ApiProperty({ type: Number, description: 'Free space on the disk of the data' })
  freeBytes!: number;
}
