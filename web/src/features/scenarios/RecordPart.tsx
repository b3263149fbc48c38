import { Box, chakra, Flex } from "@chakra-ui/react";
import { useMemo, useRef } from "react";
import type {
  FactRow,
  PlanView,
  RecordView,
  ScenariosView,
  TallyGroup,
  WiderGrade,
} from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useRecord, useWiden } from "../../shared/api/since";
import { Grid } from "../../shared/grid/Grid";
import { ROW_HEIGHT } from "../../shared/grid/gridLook";
import { HEADER_HEIGHT } from "../../shared/grid/GridHeader";
import type { Column, Drawing, GridRow } from "../../shared/grid/types";
import { formatChance, formatDays, formatMoney } from "../../shared/format/numbers";
import { Aside } from "../../shared/stage/Aside";
import { ViewHeading } from "../../shared/stage/ViewHeading";
import { Notice } from "../../shared/ui/Notice";
import { freeId, refused } from "./making";
import { beyondWords, PLACES, recordSentence, verdict } from "./record";
import type { ScenariosLook } from "./scenariosStore";
import { freeName } from "./switches";

const Button = chakra("button");
type Row = GridRow & FactRow;

interface Props {
  plan: PlanView;
  view: ScenariosView;
  look: ScenariosLook;
}

/** Where what really happened fell in the ranges given for it, and what that says of those still open. */
export function RecordPart({ plan, view, look }: Props) {
  const { id, revision, currency } = plan.project;
  const chart = useRef<HTMLDivElement>(null);
  const record = useRecord(id, revision);
  const widen = useWiden(id);
  if (record.isError) return <Notice alert>{refusalOf(record.error)}</Notice>;
  if (!record.data) return <Notice>Holding what happened against its ranges…</Notice>;
  const data = record.data;
  const title = recordSentence(data);
  if (data.all.count === 0) return <Notice>{title}</Notice>;
  const make = (grade: WiderGrade) => {
    const scenario = freeId(view.rows);
    void widen(grade.id, scenario, freeName(`${grade.name}, widened`, view.rows)).then(
      () => look.set({ view: "side", chosen: scenario }),
      refused,
    );
  };
  return (
    <Flex height="100%">
      <Flex direction="column" flex="1" minW="0" pt="3">
        <ViewHeading
          px="5"
          name="track record"
          title={title}
          chart={chart}
          table={() => ({
            columns: ["Code", "Name", "Kind", "Planned", "Actual", "Chance of so much or less", "Grade"],
            rows: data.facts.map((fact) => [
              fact.id,
              fact.name,
              fact.kind,
              fact.planned,
              fact.actual,
              fact.chance,
              fact.grade ?? null,
            ]),
          })}
          letter={title}
        >
          If ranges are right, a fifth lies below P20 and a fifth beyond P80. Ranges are those on record
          before the work began, whatever was typed since.
        </ViewHeading>
        <Box ref={chart} px="5" py="2">
          <Places record={data} />
        </Box>
        <Box flex="1" minH="0">
          <Facts project={id} facts={data.facts} currency={currency} />
        </Box>
      </Flex>
      <Aside label="What it says of ranges still open">
        <Box as="h2" fontSize="16px" fontWeight="650">
          What it says of the ranges still open
        </Box>
        {data.wider.map((grade) => (
          <Box key={grade.id} data-wider={grade.id}>
            Grade {grade.name}, {points(grade.low)} · {points(grade.likely)} · {points(grade.high)}, would
            have to reach from {points(grade.widerLow)} to {points(grade.widerHigh)} for nine tenths of what
            happened to lie within P90; {grade.open} still have it.
            <Box>
              <Button
                minH="24px"
                color="action"
                cursor="pointer"
                fontWeight="650"
                onClick={() => make(grade)}
              >
                Widen {grade.name}, and see what it does
              </Button>
            </Box>
          </Box>
        ))}
        {data.wider.length === 0 && (
          <Box color="softInk">No grade has been too narrow by what has happened so far.</Box>
        )}
        {BY.map(({ by, label }) => (
          <Groups key={by} label={label} groups={data.groups.filter((group) => group.by === by)} />
        ))}
      </Aside>
    </Flex>
  );
}

const BY = [
  { by: "grade", label: "By grade" },
  { by: "branch", label: "By branch" },
  { by: "resource", label: "By who worked on it" },
];

const points = (factor: number) => `${Math.round(factor * 100)} %`;

/** How many fell where, beside how many would if ranges were right. */
function Places({ record: { all } }: { record: RecordView }) {
  const most = Math.max(...PLACES.map(({ key, share }) => Math.max(all[key], share * all.count)), 1);
  const wide = 300;
  return (
    <svg
      width={wide + 240}
      height={PLACES.length * 26}
      fontSize="13"
      role="img"
      aria-label="How many fell where"
    >
      {PLACES.map(({ key, label, share }, i) => {
        const length = (all[key] / most) * wide;
        const expected = ((share * all.count) / most) * wide;
        return (
          <g key={key}>
            <text x="86" y={i * 26 + 17} textAnchor="end" fill="var(--chakra-colors-ink)">
              {label}
            </text>
            <rect
              x="96"
              y={i * 26 + 5}
              width={length}
              height="15"
              fill="var(--chakra-colors-action)"
              opacity="0.65"
            />
            <path
              d={`M${96 + expected} ${i * 26 + 1}v23`}
              stroke="var(--chakra-colors-plan)"
              strokeWidth="2.5"
            />
            <text x={104 + Math.max(length, expected)} y={i * 26 + 17} fill="var(--chakra-colors-ink)">
              {all[key]}
              <tspan fill="var(--chakra-colors-soft-ink)">
                {" "}
                of {formatDays(Math.round(share * all.count * 10) / 10)} expected
              </tspan>
            </text>
          </g>
        );
      })}
    </svg>
  );
}

function Groups({ label, groups }: { label: string; groups: readonly TallyGroup[] }) {
  if (groups.length === 0) return null;
  return (
    <Box as="section" aria-label={label}>
      <Box fontWeight="650" mb="1">
        {label}
      </Box>
      {groups.map(({ id, name, open, tally }) => (
        <Box key={id} py="1" borderTopWidth="1px" borderColor="line" data-group={id}>
          <Flex justify="space-between" gap="3">
            <Box>{name}</Box>
            <Box color="softInk" whiteSpace="nowrap">
              {open} open
            </Box>
          </Flex>
          <Box color="softInk" fontSize="12.5px" title={verdict(tally)}>
            {tally.under20} below P20, {tally.beyond80} beyond P80, {tally.belowEnd + tally.beyondEnd} beyond
            an end; {beyondWords(tally)}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

function Facts({
  project,
  facts,
  currency,
}: {
  project: string;
  facts: readonly FactRow[];
  currency: string;
}) {
  const rows = useMemo<Row[]>(() => facts.map((fact) => ({ ...fact, depth: 0 })), [facts]);
  const columns = useMemo<Column<Row>[]>(() => {
    const tell = (row: Row, value: number) =>
      row.kind === "cost" ? formatMoney(value, currency) : `${formatDays(Math.round(value * 10) / 10)} d`;
    return [
      { id: "code", title: "Code", width: 62, kept: true, soft: true, text: (row) => row.id },
      { id: "name", title: "What is over", width: 240, kept: true, gives: true, text: (row) => row.name },
      {
        id: "planned",
        title: "Planned",
        width: 84,
        align: "right",
        soft: true,
        text: (row) => tell(row, row.planned),
      },
      { id: "actual", title: "Actual", width: 84, align: "right", text: (row) => tell(row, row.actual) },
      {
        id: "chance",
        title: "Percentile",
        hint: "Where it fell in its range: the chance of so much or less",
        width: 84,
        align: "right",
        text: (row) => (row.beyondEnd ? "beyond" : row.belowEnd ? "below" : formatChance(row.chance)),
      },
    ];
  }, [currency]);
  return (
    <Grid state={`record ${project}`} label="What is over" rows={rows} columns={columns} drawing={PLACED} />
  );
}

const EDGE = 14;
const x = (chance: number, width: number) => EDGE + chance * (width - 2 * EDGE);

/** Each fact on the axis of its own range, from P0 to P100. */
const PLACED: Drawing<Row> = {
  width: 240,
  header: (width) => (
    <svg width={width} height={HEADER_HEIGHT} fontSize="12" fill="var(--chakra-colors-soft-ink)">
      {[0.2, 0.5, 0.8].map((chance) => (
        <text key={chance} x={x(chance, width)} y={HEADER_HEIGHT - 8} textAnchor="middle">
          P{chance * 100}
        </text>
      ))}
    </svg>
  ),
  behind: (width, height) => (
    <svg width={width} height={height}>
      <rect
        x={x(0.2, width)}
        width={x(0.8, width) - x(0.2, width)}
        height={height}
        fill="var(--chakra-colors-action-tint)"
        opacity="0.6"
      />
      <path d={`M${x(0.5, width)} 0V${height}`} stroke="var(--chakra-colors-line)" />
    </svg>
  ),
  row: (row, width) => (
    <svg width={width} height={ROW_HEIGHT} aria-hidden="true">
      <circle
        cx={x(row.chance, width)}
        cy={ROW_HEIGHT / 2}
        r="4.5"
        fill={row.belowEnd || row.beyondEnd ? "var(--chakra-colors-risk)" : "var(--chakra-colors-action)"}
      />
    </svg>
  ),
};
