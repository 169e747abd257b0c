/** Lets the browser draw and take input before the work goes on: between steps that are long only together. */
export const nextTask = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));
