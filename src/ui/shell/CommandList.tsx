"use client";

import { Command } from "cmdk";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { pickRecords } from "@/schemas/recordTable";
import { usePicked } from "../bench/BenchProvider";
import { useLeave } from "../bench/LeaveLink";
import { listBookPages, showsStored } from "./bookPages";
import { Dialog } from "./Dialog";
import { listStationFacts } from "./stationFacts";

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  /** What was typed before this was there. */
  readonly begunWith?: string;
}

/** Find anything, go anywhere: `/` or Ctrl K. */
export function CommandList({ open, onClose, begunWith = "" }: Props) {
  const [sought, setSought] = useState(begunWith);
  // Each time it opens it asks anew.
  const [wasOpen, setWasOpen] = useState(open);
  if (open !== wasOpen) {
    setWasOpen(open);
    setSought("");
  }
  const router = useRouter();
  const { date, records, plan, undo, redo } = usePicked("date", "records", "plan", "undo", "redo");
  const leave = useLeave();
  const go = (path: string) => async () => {
    onClose();
    if (!showsStored(path) || (await leave())) router.push(path);
  };
  const item = "flex min-h-11 cursor-pointer items-center rounded-md px-3 data-[selected=true]:bg-base-200";
  return (
    <Dialog open={open} onClose={onClose} title="Find">
      <Command label="Find" loop>
        <Command.Input
          data-first
          value={sought}
          onValueChange={setSought}
          placeholder="A piece, a formula, a station, a command"
          className="input w-full"
        />
        <Command.List className="mt-2 max-h-[50dvh] overflow-y-auto">
          <Command.Empty className="quiet p-3">Nothing by that name.</Command.Empty>
          <Command.Group heading="Stations">
            {listStationFacts(plan).map(({ id, name }) => (
              <Command.Item
                key={id}
                value={`station ${name}`}
                className={item}
                onSelect={() => void go(`/day/${date}/${id}`)()}
              >
                {name}
              </Command.Item>
            ))}
          </Command.Group>
          <Command.Group heading="Pieces">
            {pickRecords(records, "piece").map(({ id, name }) => (
              <Command.Item
                key={id}
                value={`piece ${name}`}
                className={item}
                onSelect={() => void go(`/day/${date}/piece/${id}`)()}
              >
                {name}
              </Command.Item>
            ))}
          </Command.Group>
          <Command.Group heading="Formulas">
            {pickRecords(records, "formula").map(({ id, name }) => (
              <Command.Item
                key={id}
                value={`formula ${name}`}
                className={item}
                onSelect={() => void go(`/day/${date}/formula/${id}`)()}
              >
                {name}
              </Command.Item>
            ))}
          </Command.Group>
          <Command.Group heading="Commands">
            {listBookPages(date).map(({ path, title }) => (
              <Command.Item key={path} className={item} onSelect={() => void go(path)()}>
                {title}
              </Command.Item>
            ))}
            <Command.Item
              className={item}
              onSelect={() => {
                onClose();
                undo();
              }}
            >
              Undo
            </Command.Item>
            <Command.Item
              className={item}
              onSelect={() => {
                onClose();
                redo();
              }}
            >
              Redo
            </Command.Item>
          </Command.Group>
        </Command.List>
      </Command>
    </Dialog>
  );
}
