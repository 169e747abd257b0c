import { keyName } from './registry';

const press = (key: string, more: Partial<KeyboardEvent> = {}) =>
  keyName({ key, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...more } as KeyboardEvent);

it.each<[string, Partial<KeyboardEvent>, string]>([
  ['n', {}, 'N'],
  ['N', { shiftKey: true }, 'Shift+N'],
  ['k', { ctrlKey: true }, 'Ctrl+K'],
  ['k', { metaKey: true }, 'Ctrl+K'],
  ['Z', { ctrlKey: true, shiftKey: true }, 'Ctrl+Shift+Z'],
  ['ArrowUp', {}, '↑'],
  ['ArrowLeft', { shiftKey: true }, 'Shift+←'],
  ['?', { shiftKey: true }, '?'],
  ['+', { shiftKey: true }, '+'],
  ['1', {}, '1'],
  ['2', { altKey: true }, 'Alt+2'],
  ['Enter', { altKey: true }, 'Alt+Enter'],
  ['Escape', {}, 'Esc'],
  ['Delete', { altKey: true }, 'Alt+Del'],
  [' ', {}, 'Space'],
])('%s with %j is written %s', (key, more, name) => expect(press(key, more)).toBe(name));
