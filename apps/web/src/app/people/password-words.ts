export const leastPassword = 10;
export const passwordHint = `At least ${leastPassword} characters; a few words do well.`;
