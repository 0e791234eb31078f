import { lookWords } from '../stages/inspection/look-words';
import { sourceWords, unsafeSources } from '@/core/bench/make-safe';
import { countOf, type Entry } from '@/core/logbook';
import { choiceNames } from '@/core/replacement/replacement';
import { stageWords } from '@/core/equipment/power-stage';

const shown = (value: 'OL' | 'climbing' | number): string =>
  value === 'OL' ? 'overload' : value === 'climbing' ? 'still climbing' : `${value.toFixed(3)} V`;

/** An entry in a few words, for the margin. */
export function entryWords(entry: Entry): string {
  switch (entry.kind) {
    case 'job.opened':
      return `Job opened: ${entry.payload.complaint}`;
    case 'take.call':
      return 'Call taken';
    case 'identify.drive':
      return `Drive: ${entry.payload.maker} ${entry.payload.type}`;
    case 'identify.motor':
      return `Motor: ${entry.payload.plate.power.value} ${entry.payload.plate.power.unit}, ${entry.payload.plate.amps} A`;
    case 'as-found.captured':
      return `As found: ${entry.payload.active ?? 'no alarm'}, ${countOf(entry.payload.slots.length, 'slot')}`;
    case 'as-found.impossible':
      return `As found not captured: ${entry.payload.reason}`;
    case 'look.finding':
      return `${lookWords[entry.payload.item].name}: ${entry.payload.state === 'clear' ? 'clear' : entry.payload.state === 'found' ? (entry.payload.note ?? 'found') : 'not checked'}`;
    case 'safety.sources': {
      const left = unsafeSources(entry.payload.sources).length;
      return left === 0 ? 'All sources isolated or absent' : `Sources listed, ${left} not safe`;
    }
    case 'safety.locked':
      return `Locked and tagged: ${entry.payload.tag}`;
    case 'safety.meter':
      return `Meter proven ${entry.payload.when}: ${entry.payload.volts} V on ${entry.payload.source}`;
    case 'safety.figure':
      return `Dead proof ${entry.payload.point} ${entry.payload.quantity.toUpperCase()} ${entry.payload.volts} V`;
    case 'safety.source-back':
      return `Source back: ${sourceWords[entry.payload.kind].name}`;
    case 'safety.no-bank-terminal':
      return 'No bank terminal within reach';
    case 'safety.discharged':
      return `Discharged through ${entry.payload.ohm} Ω from ${entry.payload.startVolts} V`;
    case 'static.reading':
      return `${entry.payload.red} to ${entry.payload.black} ${shown(entry.payload.value)}`;
    case 'static.retake':
      return `Readings set aside, to be taken again: ${entry.payload.reason}`;
    case 'identify.stage':
      return `Power stage: ${stageWords(entry.payload.stage)}`;
    case 'module.begun':
      return `Module test begun: ${entry.payload.name}`;
    case 'module.proven':
      return entry.payload.lampLights && entry.payload.polarityRight
        ? 'Lamp and battery proven'
        : 'Lamp or battery not proven';
    case 'module.touch':
      return `Device ${entry.payload.device}, ${entry.payload.gate} on the gate: lamp ${entry.payload.lamp}${entry.payload.holds ? '' : ', does not hold'}`;
    case 'module.diode':
      return `Device ${entry.payload.device}, diode ${entry.payload.forward_V.toFixed(3)} V, reverse ${entry.payload.reverse}`;
    case 'module.gate':
      return `Device ${entry.payload.device}, gate to emitter ${entry.payload.ohm === 'OL' ? 'open' : `${entry.payload.ohm} Ω`}`;
    case 'drive.read':
      return `Read out of ${entry.payload.identity.vendor} ${entry.payload.identity.product} at ${entry.payload.target}: ${countOf(Object.keys(entry.payload.values).length, 'value')}`;
    case 'drive.seen':
      return 'Read off the display';
    case 'trace.answered':
      return `Checked: ${entry.payload.words}`;
    case 'trace.confirmed':
      return `Cause: ${entry.payload.name}`;
    case 'loop.checked':
      return `Loop of ${entry.payload.input}: ${entry.payload.why}`;
    case 'jumper.set':
      return `${entry.payload.form === 'jumper' ? 'Temporary jumper' : 'Set to no function'}: ${entry.payload.where}, until ${entry.payload.removeBy}, accepted by ${entry.payload.approver}`;
    case 'jumper.removed':
      return `Jumper out: ${entry.payload.how}`;
    case 'drive.write-asked':
      return `To be written: ${entry.payload.number} ${entry.payload.name}, ${entry.payload.shownFrom} to ${entry.payload.shownTo}${entry.payload.trial ? ', a trial' : ''}`;
    case 'drive.write-done':
      return `Written and read back: ${entry.payload.found}`;
    case 'drive.write-failed':
      return `Not written: ${entry.payload.why}`;
    case 'trial.kept':
      return `Trial value stays: ${entry.payload.reason}`;
    case 'trend.kept':
      return `Trend kept: ${entry.payload.names.join(', ')}, ${entry.payload.seconds.toFixed(0)} s`;
    case 'motor.disconnected':
      return 'Drive, thermistors and encoder disconnected for the tester';
    case 'motor.winding':
      return `Winding ${entry.payload.ohms.uv} / ${entry.payload.ohms.vw} / ${entry.payload.ohms.wu} Ω at ${entry.payload.temperature_C} °C`;
    case 'motor.insulation':
      return `Insulation of ${entry.payload.of.replaceAll('-', ' ')} ${entry.payload.between === 'earth' ? 'to earth' : 'between cores'}: ${entry.payload.readings[0]?.megohm} MΩ`;
    case 'motor.earthed':
      return `Winding earthed for ${entry.payload.seconds} s`;
    case 'motor.unbalance':
      return `Unbalance of ${entry.payload.of}: ${entry.payload.values.join(' / ')}`;
    case 'startup.choices':
      return `Start-up: ${entry.payload.choices.load.replaceAll('-', ' ')}, ${entry.payload.choices.region}`;
    case 'startup.shortest':
      return `Shortest safe ramps: ${entry.payload.up_s ?? '—'} s up, ${entry.payload.down_s ?? '—'} s down`;
    case 'startup.jumper':
      return `Jumper of ${entry.payload.input}: ${entry.payload.position}`;
    case 'startup.place':
      return `Place: ${entry.payload.ambient_C} °C, ${entry.payload.altitude_m} m, ${entry.payload.phases === 3 ? 'three phases' : 'one phase'}`;
    case 'startup.value':
      return entry.payload.value === null
        ? `${entry.payload.number}: as the rule says`
        : `${entry.payload.number}: ${entry.payload.value} typed, ${entry.payload.reason}`;
    case 'commission.step':
      return `Run, ${entry.payload.step.replaceAll('-', ' ')}: ${entry.payload.outcome === 'ok' ? 'seen and right' : entry.payload.outcome === 'not-ok' ? 'not right' : 'not there'}${entry.payload.qualified === undefined ? '' : `, ${entry.payload.qualified}`}`;
    case 'commission.power-off':
      return 'Power goes: what is in the drive was kept';
    case 'set.kept':
      return `Set kept: ${entry.payload.name}, ${countOf(Object.keys(entry.payload.values).length, 'value')}`;
    case 'set.good':
      return `Marked as good: ${entry.payload.why}`;
    case 'set.write-begun':
      return `Writing a set begun: ${entry.payload.name}, ${countOf(entry.payload.values, 'value')}`;
    case 'set.write-held':
      return `Writing the set is held: ${entry.payload.why}`;
    case 'set.write-resumed':
      return `Writing the set goes on${entry.payload.leftOut === null ? '' : ` without ${entry.payload.leftOut}`}`;
    case 'set.write-ended':
      return `The set is written: ${entry.payload.ending}, ${countOf(entry.payload.taken, 'value')} taken, ${countOf(entry.payload.leftOver.length, 'difference')}`;
    case 'set.verified':
      return `Compared again${entry.payload.afterPower ? ' after the power was away' : ''}: ${entry.payload.ending}, ${countOf(entry.payload.leftOver.length, 'difference')}`;
    case 'stop.planned':
      return `Stop planned: ${countOf(entry.payload.tasks.length, 'task')}, ${entry.payload.people} at hand`;
    case 'decide.figures':
      return 'Figures of the choice kept';
    case 'decide.made':
      return `Decided: ${choiceNames[entry.payload.choice].toLowerCase()}, because ${entry.payload.reason}`;
    case 'swap.units':
      return `Out: ${entry.payload.old.maker} ${entry.payload.old.type}; in: ${entry.payload.next === null ? 'not chosen' : `${entry.payload.next.maker} ${entry.payload.next.type}`}`;
    case 'swap.asked':
      return 'What the place asks of a unit';
    case 'swap.selector':
      return `Selector of ${entry.payload.input} on the old unit: ${entry.payload.position}`;
    case 'swap.terminal':
      return `Terminal ${entry.payload.mark}${entry.payload.note === '' ? '' : `: ${entry.payload.note}`}`;
    case 'wire.noted':
      return `Wire ${entry.payload.number}: ${entry.payload.from === null ? 'hangs loose' : `on ${entry.payload.from}`}${entry.payload.role === 'unknown' ? ', not known' : ''}`;
    case 'wire.removed':
      return `A wire taken out of the ledger: ${entry.payload.reason}`;
    case 'wire.accepted':
      return `An unknown wire taken on: ${entry.payload.reason}`;
    case 'wire.chosen':
      return entry.payload.back
        ? 'The terminal of a wire as it was proposed'
        : `A wire goes to ${entry.payload.to ?? 'no terminal'}${entry.payload.reason === '' ? '' : `, ${entry.payload.reason}`}`;
    case 'wire.ticked':
      return `A wire ${entry.payload.on ? 'seen' : 'not seen'} at the ${entry.payload.end} end`;
    case 'stop.begun':
      return 'The machine stands';
    case 'stop.task':
      return `Task ${entry.payload.task}: ${entry.payload.did === 'open' ? 'open again' : entry.payload.did}`;
    case 'stop.over':
      return 'The machine runs again';
    case 'swap.unit-out':
      return 'The old unit is out';
    case 'handover.told':
      return `Told that the override ends: ${entry.payload.who}`;
    case 'handover.followed':
      return `Follows its reference: ${entry.payload.points.map((p) => `${p.asked} to ${p.got}`).join(', ')} ${entry.payload.unit}`;
    case 'handover.partner':
      return `${entry.payload.machine}: ${entry.payload.right ? 'runs as before' : 'not right'}`;
    case 'handover.locks':
      return `Locks: ${entry.payload.locks === 'none' ? 'the type has none' : entry.payload.locks}`;
    case 'handover.inspection':
      return `Next look on ${entry.payload.date}`;
    case 'job.signed-off':
      return `Handed over to ${entry.payload.second}`;
    case 'power.gates':
      return 'Gate drives compared';
    case 'power.probes':
      return `Live terminals by ${entry.payload.by.replaceAll('-', ' ')}, rated ${entry.payload.ratedVolts} V`;
    case 'power.planned':
      return `First power planned: ${entry.payload.way.by === 'lamps' ? `lamps of ${entry.payload.way.watts} W` : `limited to ${entry.payload.way.amps} A`}, off below ${entry.payload.stopBelow_V} V after ${entry.payload.stopAfter_s} s`;
    case 'power.on':
      return `SWITCHED ON, through ${entry.payload.through}`;
    case 'power.off':
      return `Switched off${entry.payload.note === undefined ? '' : `: ${entry.payload.note}`}`;
    case 'power.bus':
      return `Bus ${entry.payload.volts} V after ${entry.payload.at_s} s`;
    case 'power.measured':
      return `Measured under power: ${entry.payload.conclusion.headline}`;
    case 'power.capture':
      return `Capture ${entry.payload.name}: ${entry.payload.conclusion.headline}`;
    case 'power.lamps':
      return `Lamp load at ${entry.payload.hz} Hz: ${entry.payload.volts.join(' / ')} V`;
    case 'power.swept':
      return `Reference swept, ${countOf(entry.payload.points.length, 'point')}`;
    case 'startup.signed':
      return `Start-up sheet signed, ${entry.payload.entries} entries`;
    case 'note.added':
      return entry.payload.text;
    case 'question.opened':
      return `Question: ${entry.payload.text}`;
    case 'question.closed':
      return `Answered: ${entry.payload.answer}`;
    case 'sheet.signed':
      return `Static sheet signed: ${entry.payload.headline}`;
  }
}
