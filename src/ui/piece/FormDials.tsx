"use client";

import {
  findGatheredBlankMm,
  findLining,
  LINING_TRIM_MM,
  mouldKinds,
  PUCK_PROUD_MM,
  type Mould,
  type MouldKind,
  type PieceForm,
} from "@/core/forming";
import type { Dough } from "@/core/formula";
import type { Piece } from "@/core/plan";
import { computeBox, describeOutline, type Outline } from "@/core/shape";
import { mouldLimits, pieceLimits } from "@/schemas/limits";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { OutlineDials } from "../controls/OutlineDials";
import { Select, toOptions } from "../controls/Select";
import { mouldNames } from "./words";

interface Props<K extends PieceForm["kind"]> {
  readonly piece: Piece;
  readonly form: Extract<PieceForm, { kind: K }>;
}

/** What a form alone needs to know. */
export function FormDials({ piece }: { readonly piece: Piece }) {
  const { form } = piece;
  switch (form.kind) {
    case "lidded":
      return <LiddedDials piece={piece} form={form} />;
    case "case":
      return (
        <FigureDials piece={piece} names={["holeMm"]} hint="what the ring’s cutter takes out is the lid" />
      );
    case "rosette":
      return (
        <FigureDials piece={piece} names={["sliceMm", "sliceThicknessMm", "overlapShare", "cavityMm"]} />
      );
    case "largeFold":
      return <FigureDials piece={piece} names={["servings"]} />;
    case "wrapped":
      return (
        <FigureDials
          piece={piece}
          names={["fruitMm", "fruitHeightMm", "footMm", "coreMm", "overlapMm"]}
          hint="peeled, cored from above, trimmed flat below"
        />
      );
    case "gathered":
      return <GatheredDials piece={piece} form={form} />;
    case "pressed":
      return (
        <FigureDials piece={piece} names={["pressMm"]} hint="what stands out comes off, to be used again" />
      );
    case "lined":
      return <LinedDials piece={piece} form={form} />;
    case "puck":
      return (
        <>
          <MouldDials piece={piece} form={form} overRimMm={PUCK_PROUD_MM} />
          <FigureDials piece={piece} names={["logMm", "stacked", "sheetMm"]} />
        </>
      );
    default:
      return null;
  }
}

type FigureName = Exclude<keyof typeof pieceLimits, "topOversizeMm">;

/** Plain figures of a form, each a dial. */
function FigureDials({
  piece,
  names,
  hint = "",
}: {
  readonly piece: Piece;
  readonly names: readonly FigureName[];
  readonly hint?: string;
}) {
  const { editPiece } = usePieceEdit(piece);
  const figures = piece.form as unknown as Readonly<Partial<Record<FigureName, number>>>;
  return names.map((name, i) => (
    <Dial
      key={name}
      limit={pieceLimits[name]}
      value={figures[name] ?? 0}
      hint={i === 0 ? hint : ""}
      onChange={(value) => editPiece({ form: { ...piece.form, [name]: value } })}
    />
  ));
}

/** Sticks to begin with. */
const FIRST_STICK = { lengthMm: 120, thicknessMm: 4 };
const FIRST_OVERSIZE_MM = 10;
/** An oval to begin with, out of a round. */
const OVAL_SHARE = 0.65;

function LiddedDials({ piece, form }: Props<"lidded">) {
  const { editPiece } = usePieceEdit(piece);
  const { cut } = piece;
  const { stick } = form;
  const setForm = (fields: Partial<typeof form>) => editPiece({ form: { ...form, ...fields } });
  return (
    <>
      <Choice
        legend="Base and top are"
        value={cut.kind}
        onChange={(kind) => editPiece({ cut: toLiddedCut(kind, cut) })}
        options={[
          { id: "disc", title: "round" },
          { id: "oval", title: "oval" },
          { id: "square", title: "square" },
          { id: "rectangle", title: "oblong" },
        ]}
      />
      <Choice
        legend="Size of the top"
        value={form.topOversizeMm === null ? "computed" : "own"}
        onChange={(way) => setForm({ topOversizeMm: way === "computed" ? null : FIRST_OVERSIZE_MM })}
        options={[
          { id: "computed", title: "from the filling’s height" },
          { id: "own", title: "my cutter" },
        ]}
      />
      {form.topOversizeMm !== null && (
        <Dial
          limit={pieceLimits.topOversizeMm}
          value={form.topOversizeMm}
          sliderMax={40}
          onChange={(topOversizeMm) => setForm({ topOversizeMm })}
        />
      )}
      <Choice
        legend="On a stick"
        value={stick ? "yes" : "no"}
        onChange={(way) => setForm({ stick: way === "yes" ? FIRST_STICK : null })}
        options={[
          { id: "no", title: "no" },
          { id: "yes", title: "yes" },
        ]}
      />
      {stick && (
        <>
          <Dial
            limit={pieceLimits.stickLengthMm}
            value={stick.lengthMm}
            onChange={(lengthMm) => setForm({ stick: { ...stick, lengthMm } })}
          />
          <Dial
            limit={pieceLimits.stickThicknessMm}
            value={stick.thicknessMm}
            onChange={(thicknessMm) => setForm({ stick: { ...stick, thicknessMm } })}
          />
        </>
      )}
    </>
  );
}

/** Another base as long as the one before. */
function toLiddedCut(kind: Outline["kind"], cut: Outline): Outline {
  const { widthMm, heightMm } = computeBox(cut);
  const longMm = Math.max(widthMm, heightMm);
  const shortMm = Math.round(longMm * OVAL_SHARE);
  if (kind === "oval" || kind === "rectangle") return { kind, widthMm: longMm, heightMm: shortMm };
  return kind === "square" ? { kind, sideMm: longMm } : { kind: "disc", diameterMm: longMm };
}

function GatheredDials({ piece, form }: Props<"gathered">) {
  const { editPiece } = usePieceEdit(piece);
  const shaped = useBench((state) => state.plan.shaped[piece.id]);
  const dough = useDough(piece);
  const highMm = shaped?.formed.finished.heightMm;
  const rollTo = (heightMm: number) => {
    const request = { ...piece, form, springBackShare: dough?.springBackShare ?? 0, layersMm: [] };
    const diameterMm = findGatheredBlankMm(request, heightMm);
    if (diameterMm !== null) editPiece({ cut: { kind: "disc", diameterMm: Math.round(diameterMm * 2) / 2 } });
  };
  return (
    <>
      <Choice
        legend="The filling is"
        value={form.heapMm === null ? "ball" : "heap"}
        onChange={(way) => editPiece({ form: { ...form, heapMm: way === "ball" ? null : FIRST_HEAP_MM } })}
        options={[
          { id: "ball", title: "a ball" },
          { id: "heap", title: "heaped flat in a ring" },
        ]}
      />
      {form.heapMm !== null && (
        <Dial
          limit={pieceLimits.heapMm}
          value={form.heapMm}
          sliderMax={100}
          onChange={(heapMm) => editPiece({ form: { ...form, heapMm } })}
        />
      )}
      <FigureDials piece={piece} names={["finishedMm"]} />
      {highMm !== undefined && (
        <Dial
          limit={pieceLimits.finishedHighMm}
          value={Number(highMm.toFixed(1))}
          hint="finds the round that rolls out to it"
          onChange={rollTo}
        />
      )}
    </>
  );
}

/** A guide ring to begin with. */
const FIRST_HEAP_MM = 40;

/** A cut-out to begin with, as a share of the rim. */
const CUT_OUT_SHARE = 0.55;

function LinedDials({ piece, form }: Props<"lined">) {
  const { editPiece } = usePieceEdit(piece);
  const { topping, mould } = form;
  const rimMm = mould.axes[0].rimMm;
  return (
    <>
      <MouldDials piece={piece} form={form} overRimMm={LINING_TRIM_MM} />
      <Choice
        legend="On it lies"
        value={topping.kind}
        onChange={(kind) =>
          editPiece({
            form: {
              ...form,
              topping:
                kind === "cutOut"
                  ? {
                      kind,
                      outline: { kind: "star", diameterMm: Math.round(rimMm * CUT_OUT_SHARE), points: 6 },
                    }
                  : { kind },
            },
          })
        }
        options={[
          { id: "open", title: "nothing" },
          { id: "lid", title: "a lid" },
          { id: "cutOut", title: "a cut-out" },
        ]}
      />
      {topping.kind === "cutOut" && (
        <>
          <CutOutChoice piece={piece} form={form} />
          <OutlineDials
            outline={topping.outline}
            onChange={(outline) => editPiece({ form: { ...form, topping: { kind: "cutOut", outline } } })}
          />
        </>
      )}
    </>
  );
}

/** Any cutter of the drawer may cut what lies on top. */
function CutOutChoice({ piece, form }: Props<"lined">) {
  const { editPiece } = usePieceEdit(piece);
  const cutters = useBench((state) => state.book.cutters);
  const { topping } = form;
  if (topping.kind !== "cutOut") return null;
  const current = describeOutline(topping.outline);
  const found = cutters.find(({ outline }) => describeOutline(outline) === current);
  return (
    <Select
      label="Cut out with"
      value={found?.id ?? ""}
      options={[
        ...(found ? [] : [{ id: "", name: `${current}, not in the drawer` }]),
        ...cutters.map(({ id, name }) => ({ id, name })),
      ]}
      onChange={(id) => {
        const cutter = cutters.find((each) => each.id === id);
        if (cutter) editPiece({ form: { ...form, topping: { kind: "cutOut", outline: cutter.outline } } });
      }}
    />
  );
}

function useDough(piece: Piece): Dough | null {
  const formulas = useBench((state) => state.book.formulas);
  return formulas.find((each): each is Dough => each.kind === "dough" && each.id === piece.doughId) ?? null;
}

/** The mould, and the cut that lines it. */
function MouldDials({
  piece,
  form,
  overRimMm,
}: {
  readonly piece: Piece;
  readonly form: Extract<PieceForm, { mould: Mould }>;
  readonly overRimMm: number;
}) {
  const { editPiece } = usePieceEdit(piece);
  const dough = useDough(piece);
  const { mould } = form;
  const [long, narrow] = mould.axes;
  const rolled = { thicknessMm: piece.thicknessMm, springBackShare: dough?.springBackShare ?? 0 };
  const fitting = findLining(mould, rolled, overRimMm);
  // A mould that changes takes its cut along: the baker can set another afterwards.
  const setMould = (next: Mould) =>
    editPiece({ form: { ...form, mould: next }, cut: findLining(next, rolled, overRimMm) });
  const setLong = (fields: Partial<typeof long>) =>
    setMould({ ...mould, axes: narrow ? [{ ...long, ...fields }, narrow] : [{ ...long, ...fields }] });
  const setKind = (kind: MouldKind) =>
    setMould({
      ...mould,
      kind,
      axes: kind === "oval" ? [long, narrow ?? narrowed(long)] : [long],
      fluteMm: kind === "fluted" ? Math.max(mould.fluteMm, 3) : kind === "looseBottomed" ? mould.fluteMm : 0,
    });
  return (
    <>
      <Select
        label="The mould is"
        value={mould.kind}
        options={toOptions(mouldNames).filter(({ id }) => mouldKinds.includes(id))}
        onChange={setKind}
      />
      <Dial
        limit={{ ...mouldLimits.baseMm, max: long.rimMm }}
        value={long.baseMm}
        sliderMax={Math.min(long.rimMm, 150)}
        onChange={(baseMm) => setLong({ baseMm })}
      />
      <Dial
        limit={{ ...mouldLimits.rimMm, min: long.baseMm }}
        value={long.rimMm}
        sliderMax={180}
        onChange={(rimMm) => setLong({ rimMm })}
      />
      {narrow && (
        <Dial
          limit={{ ...mouldLimits.narrowMm, max: long.rimMm }}
          value={narrow.rimMm}
          onChange={(rimMm) =>
            setMould({
              ...mould,
              axes: [long, { rimMm, baseMm: Math.max(rimMm - (long.rimMm - long.baseMm), 10) }],
            })
          }
        />
      )}
      <Dial
        limit={mouldLimits.depthMm}
        value={mould.depthMm}
        sliderMax={60}
        onChange={(depthMm) => setMould({ ...mould, depthMm })}
      />
      {(mould.kind === "fluted" || mould.kind === "looseBottomed") && (
        <Dial
          limit={{ ...mouldLimits.fluteMm, max: Math.min(mouldLimits.fluteMm.max, long.baseMm / 2) }}
          value={mould.fluteMm}
          onChange={(fluteMm) => setMould({ ...mould, fluteMm })}
        />
      )}
      {describeOutline(fitting) !== describeOutline(piece.cut) && (
        <button type="button" className="btn touch" onClick={() => editPiece({ cut: fitting })}>
          Cut it to the mould: {describeOutline(fitting)}
        </button>
      )}
    </>
  );
}

const NARROW_SHARE = 0.7;
function narrowed({ baseMm, rimMm }: { baseMm: number; rimMm: number }) {
  const narrowRimMm = Math.round(rimMm * NARROW_SHARE);
  return { rimMm: narrowRimMm, baseMm: Math.max(narrowRimMm - (rimMm - baseMm), 10) };
}
