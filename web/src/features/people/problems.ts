import { ApiError } from "../../shared/api/client";

/** What the server says of one field; nothing where it says nothing of it. */
export const saidOf = (error: unknown, field: string): string | undefined =>
  error instanceof ApiError ? error.problems.find((one) => one.pointer === `/${field}`)?.message : undefined;

/** What the server says of none of the fields. */
export const saidOtherwise = (error: Error | null, ...fields: string[]): string | undefined =>
  error && !fields.some((field) => saidOf(error, field)) ? error.message : undefined;
