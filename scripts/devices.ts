// npm run devices [-- PORT [SPEED]]: a scale, a two-channel probe, an oven's controller and a fryer's thermostat as small
// stand-ins, heard as SenML lines on this machine. What a hand does to them is a line of JSON to the same port, say
// {"do":"lay","massG":250}.
import { serveStandIns } from "@/simulators/serve";

const [port = process.env.TEZGAH_DEVICE_PORT ?? "4510", speed = process.env.TEZGAH_SPEED ?? "1"] =
  process.argv.slice(2);
void serveStandIns(Number(port), Number(speed)).then(
  () => console.log(`The stand-ins tell on 127.0.0.1:${port}, at ${speed} times the time.`),
  (error: unknown) => {
    console.error(`The stand-ins cannot tell on port ${port}: ${String(error)}. Give another port.`);
    process.exitCode = 1;
  },
);
