// The names of the engines that there are: what everything else about them is looked up by.

export const engineNames = ['postgresql', 'mariadb', 'mysql'] as const;
export type EngineName = (typeof engineNames)[number];

/** The engine of all that was kept before there were several. */
export const firstEngine: EngineName = 'postgresql';
