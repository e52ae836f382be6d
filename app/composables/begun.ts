/** Words that a deck was begun with, until its outline has taken them. */
export const useBegun = () => useState<string | null>('begun', () => null)
