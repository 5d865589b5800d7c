import { ApiProperty } from '@nestjs/swagger';
import type { KitItems, KitKind } from '@still-heron/core';
import { Choice, Described, KitDocument, KitList, Quantity, Version } from './fields.js';

export class CreateKitItem {
  @KitDocument()
  item!: object;
}

export class SaveKitItem extends CreateKitItem {
  @Version()
  version!: number;
}

export class KitItemView<K extends KitKind = KitKind> {
  @ApiProperty({ type: String })
  id!: string;
  @ApiProperty({ type: Number })
  version!: number;
  @Described('KitItem')
  item!: KitItems[K];
  @ApiProperty({ type: String, format: 'date-time' })
  updatedAt!: string;
}

export const KIT_FORMAT = 'still-heron-kit';

/** A kit file. Items have no ids: an import creates new ones. */
export class KitFile {
  @Choice([KIT_FORMAT], 'Name of the file format')
  format!: typeof KIT_FORMAT;

  @Quantity({ min: 1, max: 1 }, 'Version of the file format')
  schema!: number;

  @KitList()
  cameras: KitItems['cameras'][] = [];

  @KitList()
  lenses: KitItems['lenses'][] = [];

  @KitList()
  wheels: KitItems['wheels'][] = [];

  @KitList()
  rigs: KitItems['rigs'][] = [];
}

export class KitImportView {
  @ApiProperty({ type: Number, description: 'Items that were added' })
  added!: number;
  @ApiProperty({ type: Number, description: 'Items that existed already with equal values' })
  alreadyThere!: number;
}
