import type { ProgrammeView } from "../../shared/api/client";
import type { Pick } from "../../shared/ui/Picker";

type Member = ProgrammeView["projects"][number];

/** Projects of a programme that are shown one by one, with what lies beneath; of more one is looked for, and opened. */
export const FEW = 6;

export const nameOfMember = ({ name }: Member) => name ?? "a project that you may not read";

/** Projects of a programme by what is typed of their code or name. */
export const memberPicks =
  (projects: readonly Member[]) =>
  (text: string): (Pick & { member: Member })[] => {
    const wanted = text.trim().toLowerCase();
    return projects
      .filter((one) => `${one.code} ${nameOfMember(one)}`.toLowerCase().includes(wanted))
      .map((one) => ({ id: one.code, code: one.code, label: nameOfMember(one), member: one }));
  };
