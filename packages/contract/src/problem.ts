import { ApiProperty } from '@nestjs/swagger';

/** What is wrong, where, and what would do. */
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
