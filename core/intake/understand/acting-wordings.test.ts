import type { ElectricalType } from '../../part';
import { inferType } from './infer-type';
import { wordsOfType } from './type-words';

const typeOf = (name: string, description: string) => inferType(name, undefined, description, new Map());

describe('what a terminal does tells its direction', () => {
  it.each<[string, ElectricalType]>([
    ['Turns on the upper switch of phase A when high', 'input'],
    ['Shuts off both gates when below 1.2 V', 'input'],
    ['Picks how data leave the part', 'input'],
    ['Standby when high', 'input'],
    ['Both drivers are held low while this is high', 'input'],
    ['High while channel 1 is being read', 'output'],
    ['Pulses at a rate that follows the energy', 'output'],
    ['Tells that the hub is suspended', 'output'],
    ['Sense current in proportion to the load current', 'output'],
    ['Gate of the reverse-blocking transistor', 'output'],
    ['Full-scale current, 24.9 kohm', 'passive'],
    ['Flying node of the positive charge pump', 'passive'],
    ['Clocks the result out', 'input'],
    ['SPI data output; high-Z when NSS is high', 'three-state'],
  ])('%s: %s', (description, type) => expect(wordsOfType(description)[0]?.type).toBe(type));

  it.each([
    ['it tells a state', 'All rails are in regulation when high', 'input'],
    ['its edge is only a condition', 'Low to enable the part', 'output'],
    ['a brown-out is no way out', 'Brown-out', 'output'],
    ['a port has an impedance', 'RF port, 50 ohm', 'passive'],
  ])('says nothing where %s', (_, description, type) => expect(wordsOfType(description).some((e) => e.type === type)).toBe(false));
});

describe('a hint or a name alone is asked unless nearly all like it agree', () => {
  it.each([
    ['LOCK', 'Clock recovered'],
    ['PCLK', 'Pixel clock'],
    ['SYNCOUT', 'Clock shifted by 180 degrees for a second controller'],
    ['RXD', 'Data received from the bus'],
    ['VOUT', 'Current sense, negative, and output monitor'],
    ['VSS', 'Negative power input'],
    ['BO', 'Brown-out'],
    ['ACT', 'Starts the external converter'],
    ['BOOT', 'Bootstrap supply for the upper driver; 100 nF to SW'],
  ])('%s, “%s”', (name, description) => expect(typeOf(name, description).doubt?.candidates?.length).toBeGreaterThan(1));

  it.each<[string, string, ElectricalType]>([
    ['SCLK', 'Serial clock', 'input'],
    ['CS', 'Chip select', 'input'],
    ['RESET', 'Reset', 'input'],
    ['DRDY', 'Data ready, open drain; goes low when a conversion is complete', 'open-drain'],
  ])('%s, “%s” stays %s without a doubt', (name, description, type) =>
    expect(typeOf(name, description)).toEqual(expect.objectContaining({ type })),
  );
});
