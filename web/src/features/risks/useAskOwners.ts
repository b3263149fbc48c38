import type { RiskView } from "../../shared/api/client";
import { useMembers, useRole } from "../../shared/api/people";
import { useAsk, useConfirmations } from "../../shared/api/together";
import { risksToAsk } from "../../shared/together/confirmWords";
import { notify } from "../../shared/ui/notify";

/** Asks each owner who takes part to confirm their own open risks, at once; nothing where there is nobody to ask. */
export function useAskOwners(project: string, risks: readonly RiskView[]) {
  const members = useMembers(project).data ?? [];
  const known = useConfirmations(project).data ?? [];
  const role = useRole(project);
  const ask = useAsk(project);
  const asked = risksToAsk(members, risks, known);
  const count = [...asked.values()].reduce((sum, codes) => sum + codes.length, 0);
  if (count === 0 || (role !== "editor" && role !== "owner")) return undefined;
  return {
    label: `Ask owners to confirm their risks (${count})`,
    run: () =>
      void Promise.all(
        [...asked].map(([email, codes]) =>
          ask.mutateAsync({ email, about: codes.map((key) => ({ section: "risks", key })) }),
        ),
      ).then(
        () => notify(`Asked: ${count} ${count === 1 ? "risk" : "risks"}, of ${asked.size} owners.`),
        (error: Error) => notify(error.message),
      ),
  };
}
