import type { ErrorBody, ProblemView } from '@still-heron/contract';
import { type Requested, requestText, type RequestProblemCode, type RequestProblemValues } from '@still-heron/wording';

/** An error response with its status. */
export class RequestProblem extends Error {
  constructor(
    readonly status: number,
    readonly body: ErrorBody,
  ) {
    super(body.message);
    this.name = 'RequestProblem';
  }

  /**
   * @param path - place in the request; empty for the whole
   * @param status - HTTP status of the response
   */
  static of<C extends RequestProblemCode>(
    status: number,
    path: string,
    code: C,
    values: RequestProblemValues[C],
  ): RequestProblem {
    return new RequestProblem(status, requestView(path, code, values));
  }
}

/** A problem of a request with its message. */
export function requestView<C extends RequestProblemCode>(path: string, code: C, values: RequestProblemValues[C]): ProblemView {
  return { code, path, ...requestText(code, values) };
}

export function notFound(what: Requested): RequestProblem {
  return RequestProblem.of(404, '', 'not-found', { what });
}

export function versionConflict(given: number, stored: number, view?: ErrorBody['stored']): RequestProblem {
  const body = requestView('version', 'version-conflict', { given, stored });
  return new RequestProblem(409, { ...body, ...(view ? { stored: view } : {}) });
}
