import { ProblemError } from '../../shared/api';

/** What a server found fault with: each beside its field; what belongs to none of them apart. */
export function faultsOf(error: Error | null) {
  const by: Partial<Record<string, string>> =
    error instanceof ProblemError
      ? Object.fromEntries(error.violations.map((fault) => [fault.path, fault.message]))
      : {};
  return {
    beside: (field: string) =>
      by[field] ? (
        <p className="fault" role="alert">
          {by[field]}
        </p>
      ) : null,
    /** Empty where there is none. */
    other: error && Object.keys(by).length === 0 ? error.message : '',
  };
}
