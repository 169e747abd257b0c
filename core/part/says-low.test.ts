import { saysLow } from './says-low';

it.each([
  '/RD',
  '!OE',
  'CS#',
  'RD*',
  'RESET_N',
  'CS_n',
  'CS_n1',
  'reset_b',
  'WE_L',
  'nWAIT',
  'n_WAIT',
  'CSn',
  'MagINCn',
  'RSTN',
  'SPI_CSN',
  'NRST',
  'OEB',
  'CSB2',
  'RAS_n/A16',
  'A16/RAS#',
])('%s says that it is low-active', (name) => expect(saysLow(name)).toBe(true));

it.each(['CS', 'EN', 'SHDN', 'RUN', 'IN', 'PIN3', 'DB', 'BUSY', 'CLEAR', 'OPEN', 'n', 'DOWN', 'SCAN'])('%s does not', (name) =>
  expect(saysLow(name)).toBe(false),
);
