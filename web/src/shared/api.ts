import createClient from 'openapi-fetch';
import type { components, paths } from './contract';

export type Schema<Name extends keyof components['schemas']> = components['schemas'][Name];

/** What the server said went wrong (RFC 9457), or that it could not be reached (status 0). */
export class ProblemError extends Error {
  readonly status: number;
  readonly title: string;
  readonly violations: { path: string; message: string }[];

  constructor(problem: Partial<Schema<'Problem'>> & { status: number }) {
    super(problem.detail ?? problem.title ?? 'Something went wrong.');
    this.status = problem.status;
    this.title = problem.title ?? 'Something went wrong';
    this.violations = problem.violations ?? [];
  }
}

export function unreachable(): ProblemError {
  return new ProblemError({
    status: 0,
    title: 'No connection',
    detail: 'The server cannot be reached. Nothing is lost; try again in a moment.',
  });
}

export const api = createClient<paths>({
  baseUrl: window.location.origin,
  fetch: async (request) => {
    try {
      return await fetch(request);
    } catch {
      throw unreachable();
    }
  },
});

/** The data of an answer, or the problem thrown. */
export async function need<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  const { data, error, response } = await call;
  if (!response.ok) {
    const problem = typeof error === 'object' && error !== null ? (error as Partial<Schema<'Problem'>>) : {};
    throw new ProblemError({ ...problem, status: response.status });
  }
  return data as T;
}

/** Answers that would be the same again are not asked for again. */
export function worthRetrying(failures: number, error: Error): boolean {
  return failures < 2 && !(error instanceof ProblemError && error.status >= 400 && error.status < 500);
}
