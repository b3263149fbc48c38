const KEY = "tychon.person";

/** Who edits in this browser: a key of its own, so that everybody takes back their own edits. */
export function person(): string {
  const kept = localStorage.getItem(KEY);
  if (kept) return kept;
  const fresh = Array.from(crypto.getRandomValues(new Uint8Array(12)), (byte) =>
    byte.toString(16).padStart(2, "0"),
  ).join("");
  localStorage.setItem(KEY, fresh);
  return fresh;
}
