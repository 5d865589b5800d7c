import type { KitItems, KitKind, PictureType, ShotChange, ShotPlan, Take } from '@still-heron/core';
import { sql } from 'drizzle-orm';
import {
  boolean,
  check,
  customType,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';

const bytes = customType<{ data: Uint8Array }>({ dataType: () => 'bytea' });

const moment = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });

/** Device that saved a version; empty if it did not say. */
const savedBy = () => ({
  deviceId: text('device_id').notNull().default(''),
  deviceName: text('device_name').notNull().default(''),
});

export const productions = pgTable(
  'productions',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    name: text('name').notNull(),
    shutterAngleDeg: doublePrecision('shutter_angle_deg').notNull().default(180),
    /** Width over height of the delivered picture; null for all that is recorded */
    frameAspect: doublePrecision('frame_aspect'),
    /** Blur of the background that the production looks for; null for any */
    lookBlurPercent: doublePrecision('look_blur_percent'),
    enlargedPercent: doublePrecision('enlarged_percent').notNull().default(0),
    /** Increased by every change of the row and of the shooting order */
    version: integer('version').notNull().default(1),
    createdAt: moment('created_at').notNull().defaultNow(),
    updatedAt: moment('updated_at').notNull().defaultNow(),
  },
  (table) => [check('productions_name', sql`length(${table.name}) > 0`)],
);

export const shots = pgTable(
  'shots',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    productionId: uuid('production_id')
      .notNull()
      .references(() => productions.id, { onDelete: 'cascade' }),
    /** Position in shooting order, possibly with gaps */
    position: integer('position').notNull(),
    scene: text('scene').notNull(),
    slate: text('slate').notNull(),
    title: text('title').notNull(),
    plan: jsonb('plan').$type<ShotPlan>().notNull(),
    version: integer('version').notNull().default(1),
    ...savedBy(),
    createdAt: moment('created_at').notNull().defaultNow(),
    updatedAt: moment('updated_at').notNull().defaultNow(),
    /** Set while a deletion can be undone */
    deletedAt: moment('deleted_at'),
  },
  (table) => [index('shots_by_order').on(table.productionId, table.position), check('shots_version', sql`${table.version} > 0`)],
);

/** Every saved version of a shot; old ones are pruned. */
export const shotRevisions = pgTable(
  'shot_revisions',
  {
    shotId: uuid('shot_id')
      .notNull()
      .references(() => shots.id, { onDelete: 'cascade' }),
    version: integer('version').notNull(),
    scene: text('scene').notNull(),
    slate: text('slate').notNull(),
    title: text('title').notNull(),
    plan: jsonb('plan').$type<ShotPlan>().notNull(),
    ...savedBy(),
    /** What differs from the version before it that is kept; null if that is not known */
    changes: text('changes').array().$type<ShotChange[]>(),
    /** Given by a person; such a version is kept */
    name: text('name').notNull().default(''),
    savedAt: moment('saved_at').notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.shotId, table.version] })],
);

/** Takes. Columns hold what the log searches and sorts by. The track is in a table of its own, so that lists do not read it. */
/** Count, sum or sum of squares of an error measured in a take. */
const sumOf = (name: string) => doublePrecision(name).notNull().default(0);

export const takes = pgTable(
  'takes',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    shotId: uuid('shot_id')
      .notNull()
      .references(() => shots.id, { onDelete: 'cascade' }),
    /** Production of its shot, so that a log is read in order of time without a join */
    productionId: uuid('production_id')
      .notNull()
      .references(() => productions.id, { onDelete: 'cascade' }),
    number: integer('number').notNull(),
    rolledAt: moment('rolled_at').notNull(),
    isCircled: boolean('is_circled').notNull(),
    focus: text('focus'),
    // input of the statistics, so that they need not read the documents
    lens: text('lens').notNull().default(''),
    stop: doublePrecision('stop').notNull().default(0),
    method: text('method').notNull().default(''),
    puller: text('puller').notNull().default(''),
    predictedKeepRate: doublePrecision('predicted_rate'),
    isUsable: boolean('is_usable').notNull().default(false),
    /** null if nobody said so and no track shows it */
    isKept: boolean('is_kept'),
    isSimulated: boolean('is_simulated').notNull().default(false),
    /** Faults of its pulls and other places, each once */
    faults: text('faults')
      .array()
      .notNull()
      .default(sql`'{}'`),
    isRepaired: boolean('is_repaired').notNull().default(false),
    lateCount: sumOf('late_count'),
    lateSum: sumOf('late_sum'),
    lateSquares: sumOf('late_squares'),
    offCount: sumOf('off_count'),
    offSum: sumOf('off_sum'),
    offSquares: sumOf('off_squares'),
    missedCount: sumOf('missed_count'),
    missedSum: sumOf('missed_sum'),
    missedSquares: sumOf('missed_squares'),
    /** Smallest depth of the zone where somebody has to be sharp, as planned; null if unknown */
    zoneDepthMm: doublePrecision('zone_depth_mm'),
    turnCount: sumOf('turn_count'),
    smoothSum: sumOf('smooth_sum'),
    settledCount: sumOf('settled_count'),
    settlingSum: sumOf('settling_sum'),
    pastZoneCount: sumOf('past_zone_count'),
    /** Looks at its focus before the last one */
    earlierLooks: integer('earlier_looks').notNull().default(0),
    take: jsonb('take').$type<Omit<Take, 'track'>>().notNull(),
    track: text('track'),
    version: integer('version').notNull().default(1),
    createdAt: moment('created_at').notNull().defaultNow(),
    updatedAt: moment('updated_at').notNull().defaultNow(),
    /** Set while a deletion can be undone; its number is not given again */
    deletedAt: moment('deleted_at'),
  },
  (table) => [
    unique('takes_number').on(table.shotId, table.number),
    // with all that the log counts by, so that counting reads no rows
    index('takes_log')
      .on(table.productionId, table.rolledAt, table.number, table.isSimulated, table.shotId)
      .where(sql`${table.deletedAt} is null`),
    check('takes_version', sql`${table.version} > 0`),
  ],
);

/** Versions of takes that were replaced, without tracks. */
export const takeRevisions = pgTable(
  'take_revisions',
  {
    takeId: uuid('take_id')
      .notNull()
      .references(() => takes.id, { onDelete: 'cascade' }),
    version: integer('version').notNull(),
    take: jsonb('take').$type<Omit<Take, 'track'>>().notNull(),
    replacedAt: moment('replaced_at').notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.takeId, table.version] })],
);

/** Table of one kind of kit: listed and searched fields as columns, the rest as one checked document. */
function kitTable<K extends KitKind, N extends string>(name: N, _kind: K) {
  return pgTable(
    name,
    {
      id: uuid('id').primaryKey().defaultRandom(),
      name: text('name').notNull(),
      item: jsonb('item').$type<KitItems[K]>().notNull(),
      version: integer('version').notNull().default(1),
      createdAt: moment('created_at').notNull().defaultNow(),
      updatedAt: moment('updated_at').notNull().defaultNow(),
      /** Set while a deletion can be undone */
      deletedAt: moment('deleted_at'),
    },
    (table) => [index(`${name}_by_name`).on(table.name), check(`${name}_version`, sql`${table.version} > 0`)],
  );
}

export const cameras = kitTable('cameras', 'cameras');
export const lenses = kitTable('lenses', 'lenses');
export const wheels = kitTable('wheels', 'wheels');
export const rigs = kitTable('rigs', 'rigs');

/** Pictures under drawings. They never change; a plan refers to one by id. */
export const pictures = pgTable(
  'pictures',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    type: text('type').$type<PictureType>().notNull(),
    widthPx: integer('width_px').notNull(),
    heightPx: integer('height_px').notNull(),
    /** SHA-256 of the contents: equal pictures are stored once */
    digest: text('digest').notNull().unique(),
    contents: bytes('contents').notNull(),
    createdAt: moment('created_at').notNull().defaultNow(),
  },
  (table) => [check('pictures_size', sql`${table.widthPx} > 0 and ${table.heightPx} > 0`)],
);
