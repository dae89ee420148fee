"use client";

import { createFormula } from "@/core/plan";
import { CircleCheck, CircleHelp, CircleX } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { SURE, type Formula, type ParsedFormula, type ParsedLine } from "@/core/formula";
import type { Result } from "@/core/result";
import { formatCount, formatMass, formatNumber, parseMass } from "@/core/units";
import { sayFailure } from "@/core/words";
import { describeLimitFault } from "@/schemas/checkValue";
import {
  formulaLimits,
  MAX_FORMULA_LINES,
  MAX_FORMULA_STEPS,
  MAX_NAME_CHARACTERS,
  MAX_PASTE_CHARACTERS,
} from "@/schemas/limits";
import { usePicked } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { MeasureSelects } from "../book/MeasureSelects";
import { Choice } from "../controls/Choice";
import { useDraft } from "../controls/useDraft";
import { readFormula, type ReadAnswer } from "./readFormula";
import { StationLayout } from "../controls/StationLayout";

/** Quiet time before what was typed is read, ms. */
const READ_DELAY_MS = 250;
const EXAMPLE = "250 g flour\n½ stick butter\n6–8 tbsp iced water\n2 egg yolks";

/** A formula from a paste or a file: read line by line, doubtful lines asked about, then put in the book. */
export function PastePage() {
  const { date, edit, book } = usePicked("date", "edit", "book");
  const { kitchen } = book;
  const { system, eggSize } = kitchen;
  const router = useRouter();
  const [text, setText] = useDraft("paste");
  const [answer, setAnswer] = useState<Result<ReadAnswer, string> | null>(null);
  const [kind, setKind] = useState<Formula["kind"]>("dough");
  /** Grams given by hand for lines that could not be weighed, by the line's text. */
  const [given, setGiven] = useState<Readonly<Record<string, string>>>({});
  /** Texts of lines whose suggested ingredient was said to be right. */
  const [confirmed, setConfirmed] = useState<readonly string[]>([]);
  /** Texts of lines whose suggested ingredient or guessed mass was said to be wrong: the grams are asked for. */
  const [denied, setDenied] = useState<readonly string[]>([]);

  useEffect(() => {
    let gone = false;
    const timer = setTimeout(() => {
      if (text.trim() === "") return setAnswer(null);
      if (text.length > MAX_PASTE_CHARACTERS) {
        const over = text.length - MAX_PASTE_CHARACTERS;
        return setAnswer({
          ok: false,
          failure: `This is ${over} characters too long for a formula. Paste one formula only.`,
        });
      }
      void readFormula(text, { system, eggSize }).then((read) => {
        if (!gone) setAnswer(read);
      });
    }, READ_DELAY_MS);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [text, system, eggSize]);

  const takeFile = async (file: File | undefined) => {
    if (file) setText(await file.slice(0, MAX_PASTE_CHARACTERS * 4).text());
  };
  const parsed = answer?.ok && answer.value.kind === "text" ? answer.value.parsed : null;
  const ready = parsed ? toFormula(parsed, kind, { given, confirmed, denied }) : null;
  const whole = answer?.ok && answer.value.kind === "whole" ? answer.value.formula : null;
  const put = (formula: Formula) => {
    edit([{ kind: "formula", id: formula.id, record: formula }]);
    setText("");
    router.push(`/day/${date}/formula/${formula.id}`);
  };
  return (
    <StationLayout
      label="Paste a formula"
      surface={
        <div className="mx-auto flex max-w-5xl flex-col gap-4">
          <h2 className="text-2xl">Paste a formula as you have it</h2>
          <div className="grid gap-4 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
            <div className="flex flex-col gap-2">
              <label htmlFor="paste" className="quiet">
                A line an ingredient; or drop a JSON-LD or CSV file here
              </label>
              <textarea
                id="paste"
                className="textarea figure h-72 w-full text-base"
                placeholder={EXAMPLE}
                onDragOver={(event) => event.preventDefault()}
                onDrop={(event) => {
                  // Words that are dragged in are the field's own matter.
                  const [file] = event.dataTransfer.files;
                  if (!file) return;
                  event.preventDefault();
                  void takeFile(file);
                }}
                value={text}
                onChange={(event) => setText(event.target.value)}
              />
              <label className="btn touch">
                Choose a file
                <input
                  type="file"
                  className="sr-only"
                  accept=".json,.jsonld,.csv,.txt,text/plain"
                  onChange={(event) => void takeFile(event.target.files?.[0])}
                />
              </label>
            </div>
            <div aria-live="polite">
              {answer === null && (
                <p className="quiet">Each line is weighed as you write; what cannot be known is asked.</p>
              )}
              {answer?.ok === false && (
                <p className="text-error" role="alert">
                  {answer.failure}
                </p>
              )}
              {whole && (
                <p className="text-lg">
                  <strong>{whole.name}</strong>: a whole formula, {whole.lines.length} lines, nothing to ask.
                </p>
              )}
              {parsed && (
                <ul className="flex flex-col gap-1">
                  {parsed.lines.map((line, i) => (
                    <PastedLine
                      key={`${i}-${line.text}`}
                      line={line}
                      given={given[line.text] ?? ""}
                      isConfirmed={confirmed.includes(line.text)}
                      isDenied={denied.includes(line.text)}
                      onConfirm={() => setConfirmed([...confirmed, line.text])}
                      onDeny={() => setDenied([...denied, line.text])}
                      onGive={(grams) => setGiven({ ...given, [line.text]: grams })}
                    />
                  ))}
                  {parsed.unread.map(({ text: row, why }) => (
                    <li key={row} className="flex gap-2 border-t border-base-300 py-1.5">
                      <CircleX size={22} className="mt-0.5 shrink-0 text-error" aria-label="not read" />
                      <span>
                        {row}
                        <span className="block text-sm text-error">{sayFailure(why)} It is left out.</span>
                      </span>
                    </li>
                  ))}
                </ul>
              )}
              {parsed && parsed.steps.length > 0 && (
                <p className="quiet mt-2 text-sm">
                  and {formatCount(parsed.steps.length, "step")} of its method
                </p>
              )}
            </div>
          </div>
        </div>
      }
      side={
        <>
          <Choice<Formula["kind"]>
            legend="It is a"
            value={whole?.kind ?? kind}
            onChange={setKind}
            options={[
              { id: "dough", title: "dough" },
              { id: "filling", title: "filling" },
            ]}
          />
          <MeasureSelects kitchen={kitchen} />
          {whole && (
            <button
              type="button"
              className="btn btn-primary touch"
              onClick={() => put({ ...whole, id: createId(whole.kind) })}
            >
              Put {whole.name} in the book
            </button>
          )}
          {parsed && ready && (
            <>
              <p className="figure text-3xl">{formatMass(ready.totalG)}</p>
              {ready.missing.length > 0 ? (
                <p className="text-error">
                  Still to answer: {ready.missing.join(", ")}. Give the grams, or take the line out of the
                  text.
                </p>
              ) : (
                <p className="quiet">
                  {ready.doubtful > 0
                    ? `${formatCount(ready.doubtful, "line is", "lines are")} not sure: look there first.`
                    : "Every line is sure."}
                </p>
              )}
              <button
                type="button"
                className="btn btn-primary touch"
                disabled={ready.missing.length > 0 || ready.formula.lines.length === 0}
                onClick={() => put(ready.formula)}
              >
                Put it in the book
              </button>
            </>
          )}
        </>
      }
    />
  );
}

function PastedLine({
  line,
  given,
  isConfirmed,
  isDenied,
  onConfirm,
  onDeny,
  onGive,
}: {
  readonly line: ParsedLine;
  readonly given: string;
  readonly isConfirmed: boolean;
  readonly isDenied: boolean;
  readonly onConfirm: () => void;
  readonly onDeny: () => void;
  readonly onGive: (grams: string) => void;
}) {
  const sure = line.confidence >= SURE || (isConfirmed && line.massG !== null);
  const Mark = sure ? CircleCheck : CircleHelp;
  const grams = given === "" ? null : readGrams(given);
  const byHandG = grams && "massG" in grams ? grams.massG : null;
  return (
    <li className="flex gap-2 border-t border-base-300 py-1.5">
      <Mark
        size={22}
        className={`mt-0.5 shrink-0 ${sure ? "text-primary" : "text-accent"}`}
        aria-label={sure ? "sure" : "asked about"}
      />
      <div className="min-w-0 flex-1">
        <span className="flex items-baseline gap-2">
          <span className="min-w-0">
            <strong className="figure">{line.amountText}</strong> {line.name}
          </span>
          <span className="figure ml-auto text-lg whitespace-nowrap">
            {byHandG !== null
              ? formatMass(byHandG)
              : line.massG === null || isDenied
                ? "?"
                : formatMass(line.massG)}
            {byHandG === null && !isDenied && line.mostG !== null && `–${formatMass(line.mostG)}`}
          </span>
          <span className="quiet w-14 text-right text-sm whitespace-nowrap">
            {formatNumber(line.confidence * 100)} %
          </span>
        </span>
        {!isConfirmed &&
          line.questions.map((question) => (
            <span key={question} className="block text-sm text-accent">
              {question}
            </span>
          ))}
        {line.massG !== null && !sure && !isDenied && (
          <span className="mt-1 flex gap-2">
            <button type="button" className="btn btn-sm touch" onClick={onConfirm}>
              {line.suggestedId !== null ? "Yes, it is" : "Yes, so much"}
            </button>
            <button type="button" className="btn btn-sm touch" onClick={onDeny}>
              {line.suggestedId !== null ? "No, another" : "No, other"}
            </button>
          </span>
        )}
        {(line.massG === null || isDenied || (!sure && line.suggestedId === null)) && (
          <label className="mt-1 flex items-center gap-2 text-sm">
            Grams of this line
            <input
              className="input input-sm figure w-28"
              value={given}
              onChange={(event) => onGive(event.target.value)}
            />
            {grams && "fault" in grams && <span className="text-error">{grams.fault}</span>}
          </label>
        )}
      </div>
    </li>
  );
}

function readGrams(text: string): { readonly massG: number } | { readonly fault: string } {
  const amount = parseMass(text);
  if (!amount.ok) return { fault: sayFailure(amount.failure) };
  const fault = describeLimitFault(amount.value, formulaLimits.lineMassG);
  return fault ? { fault } : { massG: amount.value };
}

/** What the baker has said of doubtful lines, by their texts. */
interface Answers {
  readonly given: Readonly<Record<string, string>>;
  readonly confirmed: readonly string[];
  readonly denied: readonly string[];
}

/** The formula of a paste, with what is still unknown. */
function toFormula(
  parsed: ParsedFormula,
  kind: Formula["kind"],
  { given, confirmed, denied }: Answers,
): { formula: Formula; totalG: number; missing: string[]; doubtful: number } {
  const missing: string[] = [];
  const lines = parsed.lines.slice(0, MAX_FORMULA_LINES).flatMap((line) => {
    const byHand = readGrams(given[line.text] ?? "");
    // What the baker says stands before what was read or guessed.
    const saidG = "massG" in byHand ? byHand.massG : null;
    const massG = saidG ?? (denied.includes(line.text) ? null : line.massG);
    if (massG === null || describeLimitFault(massG, formulaLimits.lineMassG)) {
      missing.push(line.name);
      return [];
    }
    return [
      {
        id: createId("line"),
        name: line.name.slice(0, MAX_NAME_CHARACTERS),
        amountText: line.amountText.slice(0, 40),
        massG,
        mostG: saidG === null ? line.mostG : null,
        ingredientId:
          line.suggestedId !== null && confirmed.includes(line.text) ? line.suggestedId : line.ingredientId,
      },
    ];
  });
  const empty = createFormula(kind, createId(kind));
  return {
    formula: {
      ...empty,
      name: parsed.name.slice(0, MAX_NAME_CHARACTERS) || empty.name,
      lines,
      steps: parsed.steps.slice(0, MAX_FORMULA_STEPS),
    },
    totalG: lines.reduce((sum, { massG }) => sum + massG, 0),
    missing,
    doubtful: parsed.lines.filter(
      ({ confidence, massG, text }) =>
        massG !== null &&
        confidence < SURE &&
        !confirmed.includes(text) &&
        !("massG" in readGrams(given[text] ?? "")),
    ).length,
  };
}
