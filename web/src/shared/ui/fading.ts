const PALE = 0.55;

/** How numbers look while they are not, or not yet, those that are asked for: nothing old looks fresh. */
export const fading = (old: boolean) => ({ opacity: old ? PALE : 1, "data-old": old || undefined });
