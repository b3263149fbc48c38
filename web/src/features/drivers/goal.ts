import type { GoalValue, PlanView } from "../../shared/api/client";
import { civil, formatDay } from "../../shared/format/dates";
import { formatMoney, formatOne, formatSigned } from "../../shared/format/numbers";
import { isDate, nameOf, PROJECT, type Subject } from "../../shared/odds/subject";

/** What is asked about, in words and numbers: the finish, the cost of a branch, the start of a milestone. */
export interface Goal {
  subject: Subject;
  /** As in "the finish", "the cost of Primary mirror". */
  name: string;
  /** Whether differences are money; else they are working days. */
  money: boolean;
  date: boolean;
  currency: string;
  /** A difference with its sign and unit: "+12.4 d", "−€35k". */
  signed: (difference: number) => string;
  /** Without a sign: "12.4 days", "€35k". */
  amount: (difference: number) => string;
  /** A value as it is: a date, days or money. */
  value: (value: GoalValue) => string;
  /** What the level is called. */
  level: string;
}

/** Less than this is rounding. */
const LEAST_MONEY = 0.5;

export function goalOf(plan: PlanView, subject: Subject, level?: number): Goal {
  const { currency, confidence } = plan.project;
  const named = nameOf(plan, subject);
  const money = subject.what === "cost";
  const whole = (amount: number) => formatMoney(amount, currency);
  return {
    subject,
    name: named ? `the ${subject.what} of ${named}` : `the ${subject.what}`,
    money,
    date: isDate(subject.what),
    currency,
    signed: (difference) =>
      money
        ? Math.abs(difference) < LEAST_MONEY
          ? formatMoney(0, currency, true)
          : formatSigned(difference, whole)
        : `${formatSigned(difference, formatOne)} d`,
    amount: (difference) => (money ? whole(Math.abs(difference)) : daysWords(difference)),
    value: ({ date, amount }) =>
      date !== undefined
        ? formatDay(date)
        : money
          ? formatMoney(amount ?? 0, currency)
          : `${formatOne(amount ?? 0)} d`,
    level: `P${level ?? confidence}`,
  };
}

/** "12.4 days", "a day" */
export function daysWords(days: number): string {
  const text = formatOne(Math.abs(days));
  return `${text} ${Math.abs(days).toFixed(1) === "1.0" ? "day" : "days"}`;
}

/** A value as a number along an axis: milliseconds, days or money. */
export const numberOf = ({ date, amount }: GoalValue) => (date === undefined ? (amount ?? 0) : civil(date));

/** The key by which what is asked about is held against something. */
export const outputKey = ({ what, of }: Subject) => `${what}:${of}`;

/** Sentence case. */
export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

export const isProject = ({ of }: Subject) => of === PROJECT;
