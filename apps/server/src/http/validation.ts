import { type ArgumentMetadata, Injectable, type PipeTransform, ValidationPipe } from '@nestjs/common';
import { type CheckContext, PLAN_CHECK, type ProblemView } from '@still-heron/contract';
import { checkPlan } from '@still-heron/core';
import { problemView } from '@still-heron/wording';
import { plainToInstance } from 'class-transformer';
import { type ValidationError, validateSync } from 'class-validator';
import { notFound, RequestProblem, requestView } from './request-problem.js';

/** Validates every body against its class. Unknown fields are rejected, and the answer lists all problems. */
export function bodyValidation(): ValidationPipe {
  const pipe = new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    transform: true,
    forbidUnknownValues: true,
    validationError: { target: false },
    exceptionFactory: (errors) => {
      const problems = errors.flatMap(problemsOf);
      return new RequestProblem(400, { ...problems[0]!, ...(problems.length > 1 ? { problems } : {}) });
    },
  });
  const check = pipe.transform.bind(pipe);
  pipe.transform = (value: unknown, metadata: ArgumentMetadata) => {
    if (metadata.type === 'body' && (typeof value !== 'object' || value === null || Array.isArray(value))) {
      throw RequestProblem.of(400, '', 'not-an-object', {});
    }
    return check(value, metadata);
  };
  return pipe;
}

function problemsOf(error: ValidationError): ProblemView[] {
  return Object.entries(error.constraints ?? {}).flatMap(([check, message]) => {
    if (check === PLAN_CHECK) {
      return checkPlan(error.value).map((problem) => ({
        ...problemView(problem),
        path: problem.path === '' ? error.property : `${error.property}.${problem.path}`,
      }));
    }
    const { code = 'unknown-field', need = 'only the fields listed at /api/docs' } = (error.contexts?.[check] ??
      {}) as Partial<CheckContext>;
    return [{ code, message: check === 'whitelistValidation' ? 'this field is not known' : message, path: error.property, need }];
  });
}

/** Validates a socket message like a request body, and returns all problems. */
export function problemsIn<T extends object>(Kind: new () => T, body: unknown): { value: T; problems: ProblemView[] } {
  if (typeof body !== 'object' || body === null || Array.isArray(body)) {
    return { value: new Kind(), problems: [requestView('', 'not-an-object', {})] };
  }
  const value = plainToInstance(Kind, body);
  const errors = validateSync(value, { whitelist: true, forbidNonWhitelisted: true, validationError: { target: false } });
  return { value, problems: errors.flatMap(allProblemsOf) };
}

/** Problems of a field and of the fields inside it. */
function allProblemsOf(error: ValidationError): ProblemView[] {
  return [...problemsOf(error), ...(error.children ?? []).flatMap(allProblemsOf)];
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** An id in an address. An invalid id is simply not found. */
@Injectable()
export class ShotId implements PipeTransform<string, string> {
  transform(value: string): string {
    if (!UUID.test(value)) throw notFound('shot');
    return value;
  }
}

@Injectable()
export class TakeId implements PipeTransform<string, string> {
  transform(value: string): string {
    if (!UUID.test(value)) throw notFound('take');
    return value;
  }
}

@Injectable()
export class KitItemId implements PipeTransform<string, string> {
  transform(value: string): string {
    if (!UUID.test(value)) throw notFound('kit item');
    return value;
  }
}

@Injectable()
export class ProductionId implements PipeTransform<string, string> {
  transform(value: string): string {
    if (!UUID.test(value)) throw notFound('production');
    return value;
  }
}

export function isUuid(value: string): boolean {
  return UUID.test(value);
}

/** Version from the query. @throws {RequestProblem} 400 */
export function versionFrom(value: unknown): number {
  const number = wholeNumber(value);
  if (number === null) throw RequestProblem.of(400, 'version', 'not-a-version', {});
  return number;
}

/** Whole number from 1 to `max` from the query, with a default. @throws {RequestProblem} 400 */
export function wholeFrom(path: string, value: unknown, fallback: number, max: number): number {
  if (value === undefined) return fallback;
  const number = wholeNumber(value);
  if (number !== null && number <= max) return number;
  throw RequestProblem.of(400, path, 'out-of-range', { name: path, max });
}

/** Ids with commas between, from the query. @throws {RequestProblem} 400 if one is no id, or there are more than `max` */
export function idsFrom(path: string, value: unknown, max: number): string[] {
  const ids = typeof value === 'string' ? [...new Set(value.split(','))] : [];
  if (ids.length === 0 || ids.length > max || !ids.every(isUuid)) throw RequestProblem.of(400, path, 'not-ids', { max });
  return ids;
}

/** One of several words from the query; null if missing. @throws {RequestProblem} 400 */
export function choiceFrom<const W extends string>(path: string, value: unknown, choices: readonly W[]): W | null {
  if (value === undefined) return null;
  const chosen = choices.find((choice) => choice === value);
  if (chosen !== undefined) return chosen;
  throw RequestProblem.of(400, path, 'not-a-choice', { name: path, choices });
}

/** Whole number from 1; null for anything else. */
export function wholeNumber(value: unknown): number | null {
  return typeof value === 'string' && /^[1-9]\d{0,8}$/.test(value) ? Number(value) : null;
}
