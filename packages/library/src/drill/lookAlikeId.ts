/** The name under which a trouble of a host is drilled. */
export const lookAlikeId = (host: string, trouble: string): string => `look-alikes/${host}/${trouble}`;

/** The host and the trouble of such a name. */
export function lookAlikeOf(id: string): { readonly host: string; readonly trouble: string } {
  const [, host = '', trouble = ''] = id.split('/');
  return { host, trouble };
}
