const fixed = process.env.ZAPRUD_NOW ? new Date(process.env.ZAPRUD_NOW).getTime() - Date.now() : 0;

/** The one clock. `ZAPRUD_NOW` moves it, for tests and pictures; it goes on running from there. */
export const now = (): Date => new Date(Date.now() + fixed);
