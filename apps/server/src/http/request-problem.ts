import type { ErrorBody } from '@still-heron/contract';

/** An error response with its status. */
export class RequestProblem extends Error {
  constructor(
    readonly status: number,
    readonly body: ErrorBody,
  ) {
    super(body.message);
    this.name = 'RequestProblem';
  }
}

export function notFound(
  what: 'production' | 'shot' | 'revision' | 'kit item' | 'kind of kit' | 'picture' | 'take',
): RequestProblem {
  return new RequestProblem(404, {
    code: 'not-found',
    message: `there is no such ${what}`,
    path: '',
    need: `the id of a ${what} that exists`,
  });
}

export function versionConflict(given: number, stored: number, view?: ErrorBody['stored']): RequestProblem {
  return new RequestProblem(409, {
    code: 'version-conflict',
    message: `it was changed since: version ${stored} is stored, this change was made from ${given}`,
    path: 'version',
    need: `a change made from version ${stored}`,
    ...(view ? { stored: view } : {}),
  });
}
