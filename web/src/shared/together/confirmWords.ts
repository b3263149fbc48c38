import type { Confirmation, Member, PlanView, RiskView } from "../api/client";
import { formatMoment } from "../format/dates";

/** How something stands that somebody was asked to confirm. */
export function stateSentence(one: Confirmation): string {
  const whom = one.mine ? "You" : one.whom;
  const when = one.answeredAt ? formatMoment(one.answeredAt) : "";
  const note = one.note ? `: “${one.note}”` : "";
  switch (one.state) {
    case "asked":
      return `${one.mine ? "You are" : `${one.whom} is`} asked since ${formatMoment(one.askedAt)}.`;
    case "confirmed":
      return `${whom} confirmed it, ${when}${note}.`;
    case "declined":
      return `${whom} said that it does not hold, ${when}${note}.`;
    case "stale":
      return `${whom} said something to it, ${when}, but it was changed since.`;
  }
}

/** Those who can be asked: whoever answers for it first, whoever asks last. */
export function askable(members: readonly Member[], owner?: string): Member[] {
  const answers = (member: Member) => sameName(member.ownerName, owner) || sameName(member.name, owner);
  const others = members.filter((member) => !answers(member));
  return [
    ...members.filter(answers),
    ...others.filter((member) => !member.self),
    ...others.filter((member) => member.self),
  ];
}

const sameName = (one: string, other = "") =>
  other.trim() !== "" && one.trim().toLowerCase() === other.trim().toLowerCase();

/** Whose risks they are, so that each owner is asked about their own: by address, the codes of open risks not confirmed yet. */
export function risksToAsk(
  members: readonly Member[],
  risks: readonly RiskView[],
  known: readonly Confirmation[],
): Map<string, string[]> {
  const settled = new Set(
    known
      .filter((one) => one.about.section === "risks" && (one.state === "confirmed" || one.state === "asked"))
      .map((one) => one.about.key),
  );
  const asked = new Map<string, string[]>();
  for (const risk of risks) {
    const owner = members.find(
      (member) => sameName(member.ownerName, risk.owner) || sameName(member.name, risk.owner),
    );
    if (!owner || settled.has(risk.id) || (risk.state !== "open" && risk.state !== "draft")) continue;
    asked.set(owner.email, [...(asked.get(owner.email) ?? []), risk.id]);
  }
  return asked;
}

/** How much of what odds rest on was confirmed; nothing where nobody was ever asked. */
export function confirmedSentence(
  plan: Pick<PlanView, "activities" | "costs">,
  risks: number,
  known: readonly Confirmation[],
): string | undefined {
  if (known.length === 0) return undefined;
  const confirmed = (section: string) =>
    known.filter((one) => one.about.section === section && one.state === "confirmed").length;
  const ranges = [...plan.activities, ...plan.costs].filter((row) => row.estimate ?? row.grade).length;
  const stale = known.filter((one) => one.state === "stale").length;
  const parts = [
    `${confirmed("risks")} of ${risks} risks`,
    `${confirmed("ranges")} of ${ranges} ranges of their own`,
  ];
  return `Confirmed by their owners: ${parts.join(" and ")}${stale > 0 ? `; ${stale} changed since` : ""}.`;
}
