/** The first items of a list, and how many more there are: `1, 2, 3 and 4 more`. */
export const listed = (items: readonly (string | number)[], most: number): string =>
  items.slice(0, most).join(', ') + (items.length > most ? ` and ${items.length - most} more` : '');
