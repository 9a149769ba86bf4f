const ownNames: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]']);

/** True for a Host header that names this machine; any other is a page of somebody else that was led here. */
export const isOwnHost = (host: string): boolean => ownNames.has(host.replace(/:\d+$/, ''));
