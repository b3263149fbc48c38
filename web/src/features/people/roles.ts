import type { Role } from "../../shared/api/client";

/** What somebody can be in a project, in words. */
export const ROLES: readonly { value: Role; label: string; what: string }[] = [
  { value: "reader", label: "Reader", what: "A reader sees everything, takes it out, and changes nothing." },
  {
    value: "risk-owner",
    label: "Risk owner",
    what: "A risk owner sees everything, changes the risks that the register says are theirs, and comments.",
  },
  { value: "editor", label: "Editor", what: "An editor changes everything, records runs and issues briefs." },
  { value: "owner", label: "Owner", what: "An owner also says who takes part, and puts the project away." },
];

export const roleName = (role: Role): string => ROLES.find((one) => one.value === role)?.label ?? role;
