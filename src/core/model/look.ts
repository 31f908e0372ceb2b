/** The app's own colour, as the person can choose it. */
export const ACCENTS = ['spruce', 'harbour', 'heather', 'moss', 'slate'] as const;
export type Accent = (typeof ACCENTS)[number];

export const TEXT_SIZES = ['small', 'usual', 'large', 'largest'] as const;
export type TextSize = (typeof TEXT_SIZES)[number];

/** How much room is left between things. */
export const DENSITIES = ['close', 'usual', 'airy'] as const;
export type Density = (typeof DENSITIES)[number];

export const LEAST_ZOOM = 0.6;
export const LARGEST_ZOOM = 3;
