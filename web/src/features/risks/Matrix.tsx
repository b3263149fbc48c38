import { Box } from "@chakra-ui/react";
import { type PointerEvent, useRef, useState } from "react";
import type { RiskEdit, RiskView, SchemeView } from "../../shared/api/client";
import { Mark } from "../../shared/charts/marks";
import { formatAmount, formatChance, formatDays } from "../../shared/format/numbers";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import { crowds, labels } from "./matrixLabels";
import { cellOf, isBeyond, OVERALL, type Place, type Placed } from "./matrixPlaces";
import { Tolerance } from "./Tolerance";

const LEFT = 118;
const RIGHT = 18;
const TOP = 10;
const BOTTOM = 44;
const GAP = 12;
const MIRROR = 0.42;

interface Props {
  scheme: SchemeView;
  kind: string;
  placed: readonly Placed[];
  chosen?: string;
  cell?: { chance: number; effect: number; gains: boolean };
  onChoose: (risk: RiskView) => void;
  onCell: (cell: { chance: number; effect: number; gains: boolean }) => void;
  /** A risk that is only scored was put into another cell. */
  onScore: (edit: RiskEdit) => void;
}

/** The scheme's grid: each mark where its own numbers put it, hollow where its response does; gains mirrored below. */
export function Matrix({ scheme, kind, placed, chosen, cell, onChoose, onCell, onScore }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const svg = useRef<SVGSVGElement>(null);
  const width = Math.max(480, useWidth(frame));
  const height = Math.max(360, useHeight(frame));
  const [held, setHeld] = useState<{ risk: RiskView; place: Place }>();
  const levels = levelsOf(scheme, kind);
  const gains = placed.some(({ risk }) => risk.kind === "opportunity");
  const columns = scheme.chance.length;
  const columnWidth = (width - LEFT - RIGHT) / columns;
  const room = height - TOP - BOTTOM - (gains ? GAP : 0);
  const rowHeight = room / (levels.length * (gains ? 1 + MIRROR : 1));
  const zero = TOP + rowHeight * levels.length;
  const gainHeight = rowHeight * MIRROR;
  const x = ({ chance }: Place) => LEFT + chance * columnWidth;
  const y = ({ effect }: Place, risk: RiskView) =>
    risk.kind === "opportunity" ? zero + GAP + effect * gainHeight : zero - effect * rowHeight;
  const placeAt = (event: PointerEvent): Place | undefined => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return undefined;
    const chance = Math.floor((event.clientX - box.left - LEFT) / columnWidth);
    const effect = Math.floor((zero - (event.clientY - box.top)) / rowHeight);
    const inside = chance >= 0 && chance < columns && effect >= 0 && effect < levels.length;
    return inside ? { chance: chance + 0.5, effect: effect + 0.5, byNumbers: false } : undefined;
  };
  const onMove = (event: PointerEvent) => {
    const place = held && placeAt(event);
    if (held && place) setHeld({ ...held, place });
  };
  const drop = () => {
    if (held) onScore(scoreEdit(held.risk, kind, held.place));
    setHeld(undefined);
  };
  const cells = (below: boolean) =>
    scheme.chance.flatMap((_, c) =>
      levels.map((_, e) => {
        const here = { chance: c + 1, effect: e + 1, gains: below };
        const isChosen = cell?.chance === c + 1 && cell.effect === e + 1 && cell.gains === below;
        return (
          <rect
            key={`${below} ${c} ${e}`}
            x={LEFT + c * columnWidth + 1}
            y={below ? zero + GAP + e * gainHeight + 1 : zero - (e + 1) * rowHeight + 1}
            width={columnWidth - 2}
            height={(below ? gainHeight : rowHeight) - 2}
            fill={`var(--chakra-colors-${below ? "action" : "risk"})`}
            fillOpacity={shade(c, e, columns, levels.length) * (below ? 0.7 : 1)}
            stroke={isChosen ? "var(--chakra-colors-ink)" : "none"}
            cursor="pointer"
            data-cell={`${c + 1} ${e + 1}${below ? " gain" : ""}`}
            onClick={() => onCell(here)}
          />
        );
      }),
    );
  const labelled = labels(placed, x, y);
  return (
    <Box ref={frame} width="100%" height="100%" minH="0" overflow="hidden">
      <svg
        ref={svg}
        width={width}
        height={height}
        role="group"
        aria-label="Chance and effect of each risk"
        fontSize="12"
        fill="var(--chakra-colors-ink)"
        onPointerMove={onMove}
        onPointerUp={drop}
        onPointerCancel={() => setHeld(undefined)}
        style={{ touchAction: "none", display: "block" }}
      >
        {cells(false)}
        {gains && cells(true)}
        {levels.map((level, e) => (
          <g key={level.name} textAnchor="end">
            <text x={LEFT - 10} y={zero - (e + 0.5) * rowHeight}>
              {level.name}
            </text>
            {level.range && (
              <text
                x={LEFT - 10}
                y={zero - (e + 0.5) * rowHeight + 14}
                fill="var(--chakra-colors-soft-ink)"
                fontSize="11"
              >
                {level.range}
              </text>
            )}
          </g>
        ))}
        {gains && (
          <text
            x={LEFT - 10}
            y={zero + GAP + (gainHeight * levels.length) / 2 + 4}
            textAnchor="end"
            fill="var(--chakra-colors-action)"
          >
            gains
          </text>
        )}
        {scheme.chance.map(({ name, from = 0, to = 0 }, c) => (
          <g key={name} textAnchor="middle">
            <text x={LEFT + (c + 0.5) * columnWidth} y={height - 26}>
              {name}
            </text>
            <text
              x={LEFT + (c + 0.5) * columnWidth}
              y={height - 10}
              fill="var(--chakra-colors-soft-ink)"
              fontSize="11"
            >
              {formatChance(from)} – {formatChance(to)}
            </text>
          </g>
        ))}
        <Tolerance
          left={LEFT}
          scheme={scheme}
          levels={levels.length}
          zero={zero}
          row={rowHeight}
          column={columnWidth}
        />
        {placed.map(({ risk, now, after }) =>
          after ? (
            <g key={risk.id} pointerEvents="none" opacity="0.8">
              <line
                x1={x(now)}
                y1={y(now, risk)}
                x2={x(after)}
                y2={y(after, risk)}
                stroke={colourOf(risk)}
                strokeWidth="1.3"
              />
              <Mark kind={markOf(risk)} x={x(after)} y={y(after, risk)} hollow />
            </g>
          ) : null,
        )}
        {placed.map(({ risk, now }) => {
          const place = held?.risk.id === risk.id ? held.place : now;
          const isDraggable = !now.byNumbers && kind !== OVERALL;
          const label = labelled.get(risk.id);
          return (
            <g
              key={risk.id}
              tabIndex={0}
              role="button"
              aria-label={`${risk.id} ${risk.title}${isBeyond(scheme, now) && risk.kind === "threat" ? ", beyond what is tolerated" : ""}`}
              data-mark={risk.id}
              cursor={isDraggable ? "grab" : "pointer"}
              onClick={() => onChoose(risk)}
              onKeyDown={(event) => {
                const moved = isDraggable && keyed(event.key, now, columns, levels.length);
                if (moved) {
                  event.preventDefault();
                  onScore(scoreEdit(risk, kind, moved));
                } else if (event.key === "Enter") onChoose(risk);
              }}
              onPointerDown={(event) => {
                if (!isDraggable) return;
                event.preventDefault();
                setHeld({ risk, place: now });
              }}
            >
              <title>{`${risk.id} ${risk.title}${isDraggable ? ": only scored, drag it to another score" : ""}`}</title>
              {chosen === risk.id && (
                <circle
                  cx={x(place)}
                  cy={y(place, risk)}
                  r="10"
                  fill="none"
                  stroke="var(--chakra-colors-ink)"
                />
              )}
              <Mark kind={markOf(risk)} x={x(place)} y={y(place, risk)} size={6} />
              {label && (
                <text x={label.x} y={label.y} textAnchor={label.anchor} fontSize="11.5">
                  {risk.id}
                </text>
              )}
            </g>
          );
        })}
        {crowds(placed).map(({ key, place, count, risk }) => (
          <text
            key={key}
            x={LEFT + place.chance * columnWidth - 8}
            y={
              risk.kind === "opportunity"
                ? zero + GAP + place.effect * gainHeight - 6
                : zero - (place.effect - 1) * rowHeight - 8
            }
            textAnchor="end"
            fontWeight="650"
          >
            {count}
          </text>
        ))}
      </svg>
    </Box>
  );
}

const markOf = (risk: RiskView) => (risk.kind === "opportunity" ? "opportunity" : "threat");
const colourOf = (risk: RiskView) =>
  `var(--chakra-colors-${risk.kind === "opportunity" ? "action" : "risk"})`;
const shade = (c: number, e: number, columns: number, rows: number) =>
  0.05 + 0.3 * (((c + 1) * (e + 1)) / (columns * rows)) ** 0.8;

/** Names of levels with what they mean in days or money; of all together, the words of the first scale alone. */
function levelsOf(scheme: SchemeView, kind: string): { name: string; range?: string }[] {
  const scale = scheme.effects.find((one) => one.kind === kind);
  if (!scale) {
    const most = Math.max(...scheme.effects.map((one) => one.levels.length));
    return Array.from({ length: most }, (_, i) => ({
      name: scheme.effects[0]?.levels[i]?.name ?? `level ${i + 1}`,
    }));
  }
  const format = scale.unit === "money" ? formatAmount : formatDays;
  return scale.levels.map(({ name, from, to }) => ({
    name,
    range:
      from === undefined || to === undefined
        ? undefined
        : `${format(from)}–${format(to)}${scale.unit === "days" ? " d" : ""}`,
  }));
}

/** The edit that puts a risk into the cell of a place. */
function scoreEdit(risk: RiskView, kind: string, place: Place): RiskEdit {
  const { chance, effect } = cellOf(place);
  return {
    id: risk.id,
    score: {
      ...risk.score?.effects,
      [kind]: effect,
      chance: risk.chance > 0 ? (risk.score?.chance ?? chance) : chance,
    },
  };
}

/** One cell further, by the arrow keys. */
function keyed(key: string, { chance, effect }: Place, columns: number, rows: number): Place | undefined {
  const [dx, dy] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[key] ?? [
    0, 0,
  ];
  if (!dx && !dy) return undefined;
  const next = { chance: chance + (dx ?? 0), effect: effect + (dy ?? 0), byNumbers: false };
  const inside = next.chance > 0 && next.chance < columns && next.effect > 0 && next.effect < rows;
  return inside ? next : undefined;
}
