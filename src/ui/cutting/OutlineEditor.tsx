"use client";

import { useId, useState, type ChangeEvent } from "react";
import { describeOutline, MAX_PATH_CHARACTERS, parsePath, type Outline } from "@/core/shape";
import { sayFailure } from "@/core/words";
import { OutlineDials } from "../controls/OutlineDials";
import { Select, toOptions } from "../controls/Select";
import { OutlineIcon } from "../drawings/OutlineShape";
import { FIRST_PATH, firstOutline, outlineNames, type NamedOutline } from "./outlineKinds";

interface Props {
  readonly outline: Outline;
  readonly onChange: (outline: Outline) => void;
}

/** Any outline: its kind, its figures, or path data typed or read from an SVG file. */
export function OutlineEditor({ outline, onChange }: Props) {
  const kind: NamedOutline = outline.kind === "ring" ? "disc" : outline.kind;
  const choose = (next: NamedOutline) => {
    if (next !== "path") return onChange(firstOutline(next));
    const drop = parsePath(FIRST_PATH);
    if (drop.ok) onChange({ kind: "path", corners: drop.value });
  };
  return (
    <div className="flex flex-col gap-2">
      <div className="flex items-end gap-3">
        <span className="shrink-0 rounded-lg border border-base-300 p-1">
          <OutlineIcon outline={outline} sizePx={64} />
        </span>
        <div className="grow">
          <Select label="Outline" value={kind} options={toOptions(outlineNames)} onChange={choose} />
        </div>
      </div>
      <p className="figure">{describeOutline(outline)}</p>
      {kind === "path" ? (
        <PathField onChange={onChange} />
      ) : (
        <OutlineDials outline={outline} onChange={onChange} />
      )}
    </div>
  );
}

function PathField({ onChange }: { readonly onChange: (outline: Outline) => void }) {
  const id = useId();
  const [text, setText] = useState(FIRST_PATH);
  const [fault, setFault] = useState<string | null>(null);
  const read = (typed: string) => {
    setText(typed.slice(0, MAX_PATH_CHARACTERS));
    const corners = parsePath(typed);
    setFault(corners.ok ? null : sayFailure(corners.failure));
    if (corners.ok) onChange({ kind: "path", corners: corners.value });
  };
  const readFile = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    if (!file) return;
    const svg = await file.text();
    const path = /<path[^>]*\sd\s*=\s*["']([^"']*)["']/.exec(svg)?.[1];
    if (path === undefined) setFault(`${file.name} holds no path. Export the outline as an SVG path.`);
    else read(path);
  };
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id}>Path data, in millimetres</label>
      <textarea
        id={id}
        className="textarea w-full font-mono text-sm"
        rows={3}
        value={text}
        onChange={(event) => read(event.target.value)}
      />
      {fault && (
        <p className="text-sm text-error" role="alert">
          {fault}
        </p>
      )}
      <label className="btn touch">
        Read an SVG file
        <input
          type="file"
          accept=".svg,image/svg+xml"
          className="sr-only"
          onChange={(event) => void readFile(event)}
        />
      </label>
    </div>
  );
}
