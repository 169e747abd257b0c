export type Theme = 'system' | 'light' | 'dark';

const query = window.matchMedia('(prefers-color-scheme: dark)');

const stored = (): Theme => {
  try {
    const value = localStorage.getItem('theme');
    return value === 'light' || value === 'dark' ? value : 'system';
  } catch {
    return 'system';
  }
};

let current: Theme = stored();

function show(): void {
  const dark = current === 'dark' || (current === 'system' && query.matches);
  document.documentElement.dataset['theme'] = dark ? 'dark' : 'light';
}

/** Follows the system's theme until a person chooses one. */
export function startTheme(): void {
  query.addEventListener('change', show);
  show();
}

/** Light, dark, or as the system has it, in turn; gives the new one. */
export function nextTheme(): Theme {
  current = current === 'system' ? 'dark' : current === 'dark' ? 'light' : 'system';
  try {
    localStorage.setItem('theme', current);
  } catch {
    // Without storage the choice holds until the page is closed.
  }
  show();
  return current;
}
