/** The address of a day's plan; the page's head asks for it before the application has loaded. */
export const toPlanPath = (date: string): string => `/api/bench/plan/${date}`;
