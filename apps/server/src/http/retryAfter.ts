/** For an ApiError's details: when to try again, in seconds. It goes into the header too. */
export const retryAfter = (seconds: number) => ({ retryAfter: Math.max(1, Math.ceil(seconds)) });
