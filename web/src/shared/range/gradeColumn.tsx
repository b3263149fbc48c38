import { Box } from "@chakra-ui/react";
import type { BranchView, GradeView } from "../api/client";
import type { CellEdit, PlanColumn, TypedRow } from "../planGrid/columns";
import { type Row, subjectOf } from "../planGrid/rows";
import { canBeUncertain, inherited, originOf, type Ranged, stepped } from "./estimates";

/** The grade of each row: its own in ink, what it inherits paler; + and − step it, Delete takes it back. */
export function gradeColumn(grades: readonly GradeView[]): PlanColumn {
  const name = (id?: string) => grades.find((grade) => grade.id === id)?.name ?? "";
  const choicesOf = (above?: string) => [
    { value: "", label: above ? `as above: ${name(above)}` : "none" },
    ...grades.map((grade) => ({ value: grade.id, label: grade.name })),
  ];
  /** A grade by its id, name or mark. */
  const known = (text: string) => {
    const word = text.trim().toLowerCase();
    return grades.find((grade) =>
      [grade.id, grade.name, grade.mark].some((one) => one.toLowerCase() === word),
    );
  };
  const graded = <T extends Ranged | BranchView>(one: T, grade: string | null): TypedRow<T> =>
    "range" in one
      ? {
          edit: { id: one.id, grade, estimate: null },
          after: { ...one, grade: grade ?? undefined, estimate: undefined },
        }
      : { edit: { id: one.id, grade }, after: { ...one, grade: grade ?? undefined } };
  function editOf<T extends Ranged | BranchView>(): CellEdit<T> {
    return {
      start: (one) => ("range" in one && !canBeUncertain(one) ? undefined : (one.grade ?? "")),
      choices: (one) => choicesOf(one.inherited),
      typed: (one, text) => {
        if (text.trim() === "") return graded(one, null);
        const grade = known(text);
        if (grade) return graded(one, grade.id);
        const names = grades.map((each) => each.name).join(", ");
        return {
          refusal: names ? `A grade is one of ${names}, not “${text}”.` : "The project has no grades yet.",
        };
      },
      cleared: (one) => ("range" in one ? (inherited(one) as TypedRow<T>) : graded(one, null)),
      step: (one, by) => {
        const next = stepped(grades, one.grade ?? one.inherited, by);
        return next && graded(one, next.id);
      },
    };
  }
  const gradable = (row: Row) => (row.kind === "work" ? undefined : (subjectOf(row) as Ranged | BranchView));
  const text = (row: Row) => {
    const one = gradable(row);
    if (!one) return "";
    if ("range" in one && !canBeUncertain(one)) return "";
    return "range" in one && one.estimate ? "" : name(one.grade ?? one.inherited);
  };
  return {
    id: "grade",
    title: "Grade",
    word: "grade",
    hint: "A named level of spread. On a branch it holds for everything beneath that has none of its own. + and − step it, Delete takes it back to what is inherited.",
    width: 92,
    text,
    render: (row) => {
      const one = gradable(row);
      if (!one) return null;
      if ("range" in one && !canBeUncertain(one)) return null;
      const own = "range" in one && originOf(one) === "own";
      return (
        <Box
          as="span"
          overflow="hidden"
          textOverflow="ellipsis"
          whiteSpace="nowrap"
          color={one.grade && !own ? "ink" : "softInk"}
          fontWeight={one.grade && !own ? 600 : 400}
          data-origin={own ? "own" : one.grade ? "grade" : one.inherited ? "inherited" : "none"}
        >
          {own ? "own" : one.grade ? name(one.grade) : one.inherited ? `↑ ${name(one.inherited)}` : "–"}
        </Box>
      );
    },
    edit: editOf(),
    editBranch: editOf(),
    editCost: editOf(),
  };
}
