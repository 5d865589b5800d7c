import { ApiProperty } from '@nestjs/swagger';
import { Text } from './fields.js';

/** Whether other devices reach the server, and how they come in. */
export class NetworkView {
  @ApiProperty({ type: Boolean, description: 'Whether other devices reach the server' })
  isOpen!: boolean;
  @ApiProperty({
    type: Boolean,
    description: 'Whether the request comes from the machine of the server, which alone opens and closes',
  })
  isHere!: boolean;
  @ApiProperty({ type: String, nullable: true, description: 'The crew code; null while the server is not open' })
  code!: string | null;
  @ApiProperty({ type: [String], description: 'Addresses at which other devices reach the server' })
  addresses!: string[];
  @ApiProperty({
    type: String,
    nullable: true,
    description: 'SHA-256 fingerprint of the certificate; null while the server is not open',
  })
  fingerprint!: string | null;
  @ApiProperty({ type: Boolean, description: 'Whether this program has made the certificate, so that devices warn of it' })
  isOwnCertificate!: boolean;
}

export class EnterCrewCode {
  @Text({ min: 1, max: 40, description: 'The crew code; spaces, hyphens and small letters do not matter' })
  code!: string;
}
