import { ApiProperty } from '@nestjs/swagger';
import { checkPlan, MAX_KIT_ITEMS, PLAN_LIMITS, seenLength, UNSTORABLE, upgradePlan } from '@still-heron/core';
import { alternatives, lengthText, rangeText } from '@still-heron/wording';
import { Transform } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  isISO8601,
  IsNumber,
  IsObject,
  IsString,
  IsUUID,
  Length,
  Max,
  Min,
  registerDecorator,
  ValidateIf,
} from 'class-validator';

/** Data of a failed check besides its message, from which the server builds the error body. */
export interface CheckContext {
  readonly code: string;
  readonly need: string;
}

const context = (code: string, need: string): { context: CheckContext } => ({ context: { code, need } });

function all(...decorators: PropertyDecorator[]): PropertyDecorator {
  return (target, key) => decorators.forEach((decorate) => decorate(target, key));
}

/** Text with a length limit, without characters that can't be stored. */
export function Text({ min = 0, max, description }: { min?: number; max: number; description: string }): PropertyDecorator {
  const need = lengthText({ min, max });
  return all(
    ApiProperty({ type: String, minLength: min, maxLength: max, description }),
    Storable(min > 0),
    Length(min, max, { message: 'the length is out of range', ...context('wrong-length', need) }),
    IsString({ message: 'it is not text', ...context('not-text', need) }),
  );
}

/** The field may be missing; null is not the same as missing. */
export function Optional(): PropertyDecorator {
  return ValidateIf((_, value: unknown) => value !== undefined);
}

function Storable(needsWords: boolean): PropertyDecorator {
  return (target, key) =>
    registerDecorator({
      name: 'storable',
      target: target.constructor,
      propertyName: key as string,
      options: {
        message: 'the text is blank or contains characters that can’t be stored',
        ...context('bad-characters', 'plain text'),
      },
      validator: {
        validate: (value: unknown) =>
          typeof value !== 'string' || !(UNSTORABLE.test(value) || (needsWords && seenLength(value) === 0)),
      },
    });
}

/** A number within a range. */
export function Quantity({ min, max }: { min: number; max: number }, description: string): PropertyDecorator {
  const need = rangeText({ min, max });
  return all(
    ApiProperty({ type: Number, minimum: min, maximum: max, description }),
    IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'it is not a number', ...context('not-a-number', need) }),
    Min(min, { message: 'it is too small', ...context('out-of-range', need) }),
    Max(max, { message: 'it is too large', ...context('out-of-range', need) }),
  );
}

/** A number that may be left out, or unknown: null. */
export function MaybeQuantity({ min, max }: { min: number; max: number }, description: string): PropertyDecorator {
  const need = `${rangeText({ min, max })}, or null`;
  return all(
    ApiProperty({ type: Number, minimum: min, maximum: max, description, nullable: true, required: false }),
    ValidateIf((_, value: unknown) => value !== undefined && value !== null),
    IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'it is not a number', ...context('not-a-number', need) }),
    Min(min, { message: 'it is too small', ...context('out-of-range', need) }),
    Max(max, { message: 'it is too large', ...context('out-of-range', need) }),
  );
}

/** The database counts versions as integers of four bytes. */
const MAX_VERSION = 2_000_000_000;

/** Version of the row on which a change is based. */
export function Version(): PropertyDecorator {
  const need = 'the version that was read, a whole number from 1';
  return all(
    ApiProperty({
      type: Number,
      minimum: 1,
      description: 'Version that the change is based on. Another stored version answers 409.',
    }),
    IsInt({ message: 'it is not a whole number', ...context('not-whole', need) }),
    Min(1, { message: 'it is below 1', ...context('out-of-range', need) }),
    Max(MAX_VERSION, { message: 'it is too large', ...context('out-of-range', need) }),
  );
}

export function Choice(values: readonly string[], description: string): PropertyDecorator {
  return all(
    ApiProperty({ enum: values, description }),
    IsIn(values, { message: 'it is not one of the choices', ...context('not-a-choice', alternatives(values)) }),
  );
}

export function Ids(max: number, description: string): PropertyDecorator {
  const need = `a list of at most ${max} different ids`;
  return all(
    ApiProperty({ type: [String], maxItems: max, description }),
    IsString({ each: true, message: 'an id is not text', ...context('not-text', need) }),
    ArrayUnique({ message: 'an id appears twice', ...context('id-twice', need) }),
    ArrayMaxSize(max, { message: 'it is not a list, or too long', ...context('not-a-list', need) }),
  );
}

/** A document that the core declares: its schema is among those of `apps/server/src/http/api-description.ts`. */
export function Described(name: 'Plan' | 'Take' | 'TakeWithoutTrack' | 'KitItem'): PropertyDecorator {
  return ApiProperty({ allOf: [{ $ref: `#/components/schemas/${name}` }] });
}

/** A kit item. The address tells its kind; the server checks it against the core's limits for that kind. */
export function KitDocument(): PropertyDecorator {
  return (target, key) => {
    Described('KitItem')(target, key);
    Transform(({ obj }: { obj: Record<string, unknown> }) => obj[key as string], { toClassOnly: true })(target, key);
    IsObject({ message: 'it is not an object', ...context('not-an-object', 'an item of kit') })(target, key);
  };
}

/** A take. The server checks it against the core's limits. */
export function TakeDocument(): PropertyDecorator {
  return (target, key) => {
    Described('Take')(target, key);
    Transform(({ obj }: { obj: Record<string, unknown> }) => obj[key as string], { toClassOnly: true })(target, key);
    IsObject({ message: 'it is not an object', ...context('not-an-object', 'a take') })(target, key);
  };
}

/** Id of an item in a plan. */
export function Id(description: string): PropertyDecorator {
  return Text({ min: 1, max: PLAN_LIMITS.id.max, description });
}

/** Id of a row, or an id made by a device. */
export function Uuid(description: string): PropertyDecorator {
  return all(
    ApiProperty({ type: String, format: 'uuid', description }),
    IsUUID('all', { message: 'it is not an id', ...context('not-an-id', 'a UUID') }),
  );
}

/** Yes or no. */
export function Flag(description: string): PropertyDecorator {
  return all(
    ApiProperty({ type: Boolean, description }),
    IsBoolean({ message: 'it is neither true nor false', ...context('not-yes-or-no', 'true or false') }),
  );
}

/** Date, time and zone. Other forms of ISO 8601, such as a week, are no point in time, or mean another one on another machine. */
const MOMENT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,9})?(Z|[+-]\d{2}:\d{2})$/;

/** A take can have been rolled then: a clock that was never set starts at 1970. */
const YEARS = { first: 1970, last: 2199 };

function isMoment(value: unknown): boolean {
  if (typeof value !== 'string' || !MOMENT.test(value) || !isISO8601(value, { strict: true })) return false;
  // NaN for an hour or a zone that there is not
  const year = new Date(value).getUTCFullYear();
  return year >= YEARS.first && year <= YEARS.last;
}

/** A point in time. */
export function Moment(description: string): PropertyDecorator {
  return (target, key) => {
    ApiProperty({ type: String, format: 'date-time', description })(target, key);
    registerDecorator({
      name: 'moment',
      target: target.constructor,
      propertyName: key as string,
      options: {
        message: 'it is not a point in time',
        ...context('not-a-time', `such as 2026-03-01T10:15:00.000Z, from ${YEARS.first} to ${YEARS.last}`),
      },
      validator: { validate: isMoment },
    });
  };
}

/** A list of kit items of one kind, checked by the server as above. */
export function KitList(): PropertyDecorator {
  return (target, key) => {
    ApiProperty({
      type: 'array',
      items: { $ref: '#/components/schemas/KitItem' },
      required: false,
      description: 'Items of this kind',
    })(target, key);
    Transform(({ obj }: { obj: Record<string, unknown> }) => obj[key as string], { toClassOnly: true })(target, key);
    IsArray({ message: 'it is not a list', ...context('not-a-list', 'a list of items') })(target, key);
    ArrayMaxSize(MAX_KIT_ITEMS, { message: 'the list is too long', ...context('too-many', `at most ${MAX_KIT_ITEMS} items`) })(
      target,
      key,
    );
  };
}

/** Name of the plan check, by which the server's validation finds the plan's own problems. */
export const PLAN_CHECK = 'isShotPlan';

/** A whole shot plan, checked against the core's limits. */
export function Plan(): PropertyDecorator {
  return (target, key) => {
    Described('Plan')(target, key);
    // take the plan as received: a deep copy would be wasted work. An older page may still send an old schema
    Transform(({ obj }: { obj: Record<string, unknown> }) => upgradePlan(obj[key as string]), { toClassOnly: true })(target, key);
    registerDecorator({
      name: PLAN_CHECK,
      target: target.constructor,
      propertyName: key as string,
      options: { message: 'the plan breaks a rule' },
      validator: { validate: (value: unknown) => checkPlan(value).length === 0 },
    });
  };
}
