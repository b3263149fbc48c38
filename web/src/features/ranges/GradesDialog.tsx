import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import { ApiError, type PlanView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useRangeEdits } from "./rangeEdits";
import { starterGrades } from "../../shared/api/ranges";
import { WideDialog } from "../../shared/ui/WideDialog";
import { GRADE_ROWS, GradeGrid, type GradeRow } from "./GradeGrid";
import { GradeTools } from "./GradeTools";
import { useGridStore, viewOf } from "../../shared/grid/gridStore";
import { draftOf, type GradeDraft, gradesOfFile, gradeWords, joined, newGrade, usersOf } from "./grades";
import { Refusal } from "../../shared/ui/Refusal";

const Input = chakra("input");

/** The project's table of grades, from narrow to wide: changed here, kept when one says so. */
export function GradesDialog({ plan, onClose }: { plan: PlanView; onClose: () => void }) {
  const edits = useRangeEdits(plan.project.id);
  const [grades, setGrades] = useState<GradeDraft[]>(() => plan.grades.map(draftOf));
  const [refusal, setRefusal] = useState<string>();
  const rows = grades.map<GradeRow>((grade) => ({
    id: grade.id,
    depth: 0,
    grade,
    users: usersOf(plan, grade.id),
    range: keptRange(plan, grade),
  }));
  const active = useGridStore((state) => viewOf(state, GRADE_ROWS).active?.row);
  const selected = rows.find((row) => row.id === active) ?? rows[0];
  const change = (changed: readonly GradeDraft[]) =>
    setGrades((all) => all.map((grade) => changed.find((one) => one.id === grade.id) ?? grade));
  const move = (id: string, by: 1 | -1) =>
    setGrades((all) => {
      const from = all.findIndex((grade) => grade.id === id);
      const [grade, other] = [all[from], all[from + by]];
      return grade && other ? all.with(from, other).with(from + by, grade) : all;
    });
  const take = (more: GradeDraft[] | { refusal: string }) => {
    setRefusal("refusal" in more ? more.refusal : undefined);
    if (!("refusal" in more)) setGrades(joined(grades, more));
  };
  const begin = () => {
    const grade = newGrade(grades);
    setGrades([...grades, grade]);
    useGridStore.getState().select(GRADE_ROWS, { row: grade.id, column: "name" });
  };
  const load = async (file: File | undefined) => file && take(gradesOfFile(await file.text()));
  const keep = async () => {
    try {
      await edits.grades(grades.map(gradeWords));
      onClose();
    } catch (error) {
      const pointer = error instanceof ApiError ? error.problems[0]?.pointer : undefined;
      const grade = grades[Number(/^\/(\d+)/.exec(pointer ?? "")?.[1] ?? NaN)];
      setRefusal(`${grade ? `${grade.name}: ` : ""}${refusalOf(error)}`);
    }
  };
  return (
    <WideDialog title="Grades" onClose={onClose}>
      <Box flex="1" minW="0">
        <Box color="softInk" mb="3">
          A grade is a named level of spread, in percent of what is planned. Given to a branch it holds for
          everything beneath that has none of its own. In the grid, + and − step along this table.
        </Box>
        {grades.length === 0 && (
          <Box mb="3">
            There are no grades yet.{" "}
            <Button
              size="sm"
              variant="outline"
              onClick={() =>
                void starterGrades().then(
                  (all) => take(all.map(draftOf)),
                  (error) => setRefusal(refusalOf(error)),
                )
              }
            >
              Begin with a starter table
            </Button>
          </Box>
        )}
        {rows.length > 0 && <GradeGrid rows={rows} onChange={change} onMove={move} />}
        {selected && (
          <GradeTools
            row={selected}
            first={selected.grade === grades[0]}
            last={selected.grade === grades.at(-1)}
            onChange={(grade) => change([grade])}
            onMove={(by) => move(selected.id, by)}
            onRemove={() => setGrades(grades.filter((one) => one.id !== selected.id))}
          />
        )}
        {refusal && <Refusal my="3">{refusal}</Refusal>}
        <Flex gap="2" mt="4" align="center">
          <Button size="sm" bg="action" color="onAction" onClick={() => void keep()}>
            Keep the table
          </Button>
          <Button size="sm" variant="outline" onClick={begin}>
            New grade
          </Button>
          <Button size="sm" variant="outline" asChild>
            <label>
              From a file…
              <Input
                type="file"
                accept=".json"
                srOnly
                aria-label="File of grades"
                onChange={(event) => void load(event.target.files?.[0])}
              />
            </label>
          </Button>
          <Box flex="1" />
          <Button size="sm" variant="ghost" onClick={onClose}>
            Leave it as it was
          </Button>
        </Flex>
      </Box>
    </WideDialog>
  );
}

/** The drawing of a grade whose shape is still the one that is kept. */
function keptRange(plan: PlanView, grade: GradeDraft) {
  const kept = plan.grades.find((one) => one.id === grade.id);
  return kept && kept.shape === grade.shape ? kept.range : undefined;
}
