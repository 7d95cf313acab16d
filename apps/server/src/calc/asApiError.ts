import type { Refused } from '@field-nurse/library/answers';
import { ApiError } from '../http/apiError.js';

/** Why the library gives no answer, as the caller is told. */
export function asApiError({ by, code, path, message, rule, suggestions }: Refused): ApiError {
  if (by === 'rule') return new ApiError(422, code, message, { rule });
  return new ApiError(400, 'invalid', message, { issues: [{ path, code, message }], ...(suggestions && { suggestions }) });
}
