import type { About, Comment } from "../api/client";

interface Talk {
  first: Comment;
  answers: Comment[];
}

/** What was said of one thing, each with its answers: what is open, and what is resolved. */
export function commentsOf(all: readonly Comment[], about: About): { open: Talk[]; closed: Talk[] } {
  const ofIt = all.filter((one) => one.about.section === about.section && one.about.key === about.key);
  const talks = ofIt
    .filter((one) => !one.answerTo)
    .map((first) => ({ first, answers: ofIt.filter((one) => one.answerTo === first.id) }));
  return {
    open: talks.filter((talk) => !talk.first.resolvedAt),
    closed: talks.filter((talk) => talk.first.resolvedAt),
  };
}
