/** Whether an Origin header names this very host; `null`, as sandboxed pages and files send it, names none. */
export const isOwnOrigin = (origin: string, host: string | null | undefined) => URL.canParse(origin) && new URL(origin).host === host
