import type { EstimateWords, GradeView, GradeWords, PlanView } from "../../shared/api/client";
import { begunShape } from "../../shared/range/shapes";

/** A grade while the table is being changed. */
export interface GradeDraft {
  id: string;
  name: string;
  mark: string;
  note: string;
  shape: EstimateWords;
}

export const draftOf = ({ id, name, mark, note, shape }: GradeView): GradeDraft => ({
  id,
  name,
  mark,
  note,
  shape,
});

/** A grade in the words of the project file, which counts in factors and says no basis. */
export function gradeWords({ shape, ...grade }: GradeDraft): GradeWords {
  const words: GradeWords & { basis?: string } = { ...grade, ...shape };
  delete words.basis;
  return words;
}

/** The shape of a grade as an estimate, whose factors are typed and shown in percent. */
export const inPercent = (grade: GradeDraft): EstimateWords => ({ ...grade.shape, basis: "factor" });

/** What a grade makes of a planned value of one, for choosing another shape about as wide. */
export const ALIKE_ONE = {
  id: "",
  range: {
    shape: "triangular",
    limits: true,
    planned: 1,
    low: 0.85,
    likely: 1,
    high: 1.3,
    mean: 1.05,
    sd: 0.1,
    plannedChance: 0.3,
    density: [0, 100, 0],
  },
};

export function newGrade(taken: readonly GradeDraft[]): GradeDraft {
  let number = taken.length + 1;
  while (taken.some((grade) => grade.id === `grade${number}`)) number++;
  return {
    id: `grade${number}`,
    name: "New grade",
    mark: "",
    note: "",
    shape: begunShape("triangular", 0.85, 1, 1.3),
  };
}

/** Grades out of a file of grades, or of any project file. */
export function gradesOfFile(text: string): GradeDraft[] | { refusal: string } {
  let file: { grades?: Record<string, unknown>[] };
  try {
    file = JSON.parse(text) as typeof file;
  } catch {
    return {
      refusal: "This is no file of grades: it is not sound JSON. Take grades out of a project first.",
    };
  }
  if (!Array.isArray(file.grades) || file.grades.length === 0)
    return { refusal: "There are no grades in this file." };
  return file.grades.map(({ id, name, mark, note, ...shape }) => ({
    id: String(id ?? ""),
    name: String(name ?? ""),
    mark: String(mark ?? ""),
    note: String(note ?? ""),
    shape: shape as unknown as EstimateWords,
  }));
}

/** Grades of a file put into a table: those with a known id take its place, the others come at the end. */
export function joined(table: readonly GradeDraft[], more: readonly GradeDraft[]): GradeDraft[] {
  const known = new Set(table.map((grade) => grade.id));
  return table
    .map((grade) => more.find((one) => one.id === grade.id) ?? grade)
    .concat(more.filter((grade) => !known.has(grade.id)));
}

/** How many rows have a grade of their own. */
export const usersOf = (plan: PlanView, grade: string) =>
  [...plan.branches, ...plan.activities, ...plan.costs].filter((row) => row.grade === grade).length;
