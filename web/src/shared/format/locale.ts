/** The reader's language, which decides how numbers and dates are written. */
export const locale = globalThis.navigator?.language ?? "en-GB";
