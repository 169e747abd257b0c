const DEFINES = /^[ \t]*\.(?:subckt|macro|model)[ \t]+([^\s(]+)/gim;

/** The names that a SPICE text defines, of subcircuits and models, in lower case: SPICE tells no case apart. */
export const definedNames = (source: string): Set<string> => new Set([...source.matchAll(DEFINES)].map((m) => m[1]!.toLowerCase()));
