"use client";

import Link from "next/link";
import { useEffect } from "react";
import { useForm, type RegisterOptions } from "react-hook-form";
import { parseClock, parseNumber } from "@/core/units";
import { usePicked } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { checkClock, checkCount } from "../controls/checks";
import { MAX_NAME_CHARACTERS } from "@/schemas/limits";
import { NEW_ORDER } from "../shell/bookPages";

interface Fields {
  readonly pieceId: string;
  readonly count: string;
  readonly due: string;
  readonly customer: string;
}

/** Take one more order. */
export function NewOrderForm() {
  const { book, edit } = usePicked("book", "edit");
  const defaults = { pieceId: book.pieces[0]?.id ?? "", count: "", due: "09:00", customer: "" };
  const { register, handleSubmit, reset, setFocus, formState } = useForm<Fields>({
    defaultValues: defaults,
    mode: "onTouched",
  });
  const { errors } = formState;
  useEffect(() => {
    // Whoever asked for a new order elsewhere types at once.
    if (window.location.hash === NEW_ORDER) setFocus("count");
  }, [setFocus]);

  const take = handleSubmit((fields) => {
    const [count, dueMin] = [parseNumber(fields.count), parseClock(fields.due)];
    if (!count.ok || !dueMin.ok) return;
    const id = createId("order");
    const record = {
      id,
      dayId: book.day.id,
      pieceId: fields.pieceId,
      count: count.value,
      dueMin: dueMin.value,
      customer: fields.customer.trim(),
    };
    edit([{ kind: "order", id, record }]);
    reset({ ...fields, count: "", customer: "" });
    setFocus("count");
  });

  if (book.pieces.length === 0) {
    return (
      <div className="flex flex-col gap-2">
        <p>There is no piece in the book yet to order.</p>
        <Link href={`/day/${book.day.date}/book`} className="btn btn-primary touch">
          Add a piece
        </Link>
      </div>
    );
  }
  const field = (
    name: keyof Fields,
    label: string,
    options: RegisterOptions<Fields, typeof name>,
    props: { placeholder?: string; inputMode?: "numeric" },
  ) => (
    <div className="flex flex-col gap-0.5">
      <label htmlFor={`order-${name}`}>{label}</label>
      <input
        id={`order-${name}`}
        className="input w-full"
        aria-invalid={errors[name] !== undefined}
        aria-describedby={errors[name] ? `order-${name}-fault` : undefined}
        autoComplete="off"
        {...props}
        {...register(name, options)}
      />
      {errors[name] && (
        <span id={`order-${name}-fault`} className="text-sm text-error" role="alert">
          {errors[name].message}
        </span>
      )}
    </div>
  );
  return (
    <form className="flex flex-col gap-2" onSubmit={(event) => void take(event)} noValidate>
      <h2 className="text-xl">Take an order</h2>
      <div className="flex flex-col gap-0.5">
        <label htmlFor="order-pieceId">Piece</label>
        <select id="order-pieceId" className="select w-full" {...register("pieceId")}>
          {book.pieces.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </div>
      <div className="grid grid-cols-2 items-start gap-2">
        {field(
          "count",
          "How many",
          { validate: (text) => checkCount(text) ?? true },
          { inputMode: "numeric", placeholder: "48" },
        )}
        {field("due", "By", { validate: (text) => checkClock(text) ?? true }, { placeholder: "09:00" })}
      </div>
      {field(
        "customer",
        "For (may stay empty)",
        {
          maxLength: { value: MAX_NAME_CHARACTERS, message: `Use up to ${MAX_NAME_CHARACTERS} characters.` },
        },
        {},
      )}
      <button className="btn btn-primary touch mt-1 text-base">Take the order</button>
    </form>
  );
}
