// The rows of the harbour, made up from a seed. Each table's rows in the order in which they can be
// inserted; faults are planted where a comment says so, and nowhere else.

import { Random } from './random';

export type Row = Readonly<Record<string, string | number | boolean | null>>;
export interface TableRows {
  readonly table: string;
  readonly rows: readonly Row[];
}

const firstDay = Date.UTC(2021, 0, 4);

export function harbourRows(seed = 20261124): readonly TableRows[] {
  const random = new Random(seed);
  const tables: TableRows[] = [];
  const fill = (table: string, count: number, make: (n: number) => Row): readonly Row[] => {
    const rows = Array.from({ length: count }, (_, i) => make(i + 1));
    tables.push({ table, rows });
    return rows;
  };
  const moment = (): string => new Date(firstDay + random.int(0, 2_800_000) * 60_000).toISOString();
  const day = (): string => moment().slice(0, 10);
  const laterThan = (time: string, hours: number): string =>
    new Date(Date.parse(time) + random.int(1, hours * 60) * 60_000).toISOString();
  const padded = (n: number, width: number): string => String(n).padStart(width, '0');
  const field = (rows: readonly Row[], name: string) => rows.map((row) => row[name] ?? null);
  const word = (): string => random.pick(beginnings) + random.pick(endings);
  const person = (): string => `${word()} ${word()}`;

  const areas = fill('port.harbour_area', 6, (n) => ({ area_code: `A${n}`, name: `${directions[n - 1]} basin` }));
  const areaCodes = field(areas, 'area_code');
  const berths = fill('port.berth', 112, (n) => ({
    berth_no: `B${padded(n, 3)}`,
    area_code: random.pick(areaCodes),
    length_m: random.int(600, 3600) / 10,
    depth_m: random.int(45, 160) / 10,
    lighted: random.chance(0.7),
  }));
  const agents = fill('port.agent', 612, (n) => ({
    agent_id: n * 3 + 100,
    agent_code: `AG-${padded(n, 4)}`,
    name: `${word()} Agency ${n % 40}`,
    phone: random.chance(0.8) ? `+00 555 ${random.int(1000, 9999)}` : null,
  }));
  const agentIds = field(agents, 'agent_id');
  const flags = fill('port.flag_state', 40, (n) => ({ flag_code: letters(n + 30, 2), name: `${word()} ${n}` }));
  const types = fill('port.vessel_type', 18, (n) => ({ type_code: `T${padded(n, 2)}`, name: `${word()} carrier ${n}` }));
  const vessels = fill('port.vessel', 3100, (n) => ({
    vessel_id: n * 2 + 5000,
    imo_no: `9${padded((n * 7919) % 1_000_000, 6)}`,
    call_sign: `SK${letters(n, 4)}`,
    name: `${word()} ${word()}`,
    flag_code: random.pick(field(flags, 'flag_code')),
    type_code: random.pick(field(types, 'type_code')),
    agent_id: random.chance(0.85) ? random.pick(agentIds) : null,
    gross_tonnage: random.int(300, 140_000),
    length_m: random.int(240, 3990) / 10,
    built_year: random.int(1978, 2024),
  }));
  const vesselIds = field(vessels, 'vessel_id');
  const calls = fill('port.port_call', 15_000, (n) => {
    const arrived = moment();
    return {
      call_id: 10_000 + n,
      vessel_id: random.pick(vesselIds),
      agent_id: random.pick(agentIds),
      arrived_at: arrived,
      departed_at: random.chance(0.97) ? laterThan(arrived, 96) : null,
      purpose: random.pick(['cargo', 'bunkers', 'repair', 'shelter', 'crew']),
    };
  });
  const callIds = field(calls, 'call_id');
  // Planted: no primary key, and 37 bookings for berths that do not exist.
  fill('port.berth_booking', 12_000, (n) => {
    const starts = moment();
    const lost = n > 5 && n % 324 === 5;
    return {
      booking_no: `BK-${padded(n * 7, 7)}`,
      vessel_id: random.pick(vesselIds),
      berth_no: lost ? `X${padded(n % 4, 3)}` : random.pick(field(berths, 'berth_no')),
      starts_at: starts,
      ends_at: laterThan(starts, 60),
      booked_by: random.pick(['desk', 'agent', 'pilot office']),
    };
  });
  // Planted: no primary key, and no natural one either; entries repeat to the letter.
  const entries = Array.from({ length: 11_000 }, () => ({
    logged_at: moment(),
    call_id: random.pick(callIds),
    entry: random.pick(['lines fast', 'pilot aboard', 'gangway down', 'hoses connected', 'clear of berth']),
  }));
  fill('port.call_log', 12_000, (n) => entries[(n * 37) % entries.length] ?? {});
  const pilots = fill('port.pilot', 64, (n) => ({
    pilot_id: 40 + n,
    licence_no: `PL-${padded(n * 13, 4)}`,
    name: person(),
    phone: `+00 556 ${1000 + n * 17}`,
    home_area_code: random.pick(areaCodes),
  }));
  // Planted: 5 jobs by pilots that do not exist.
  const jobs = fill('port.pilotage_job', 10_000, (n) => {
    const started = moment();
    return {
      job_no: 70_000 + n,
      call_id: random.pick(callIds),
      pilot_id: n % 2000 === 9 ? 900 + (n % 3) : random.chance(0.98) ? random.pick(field(pilots, 'pilot_id')) : null,
      started_at: started,
      ended_at: random.chance(0.96) ? laterThan(started, 5) : null,
      draught_m: random.int(20, 145) / 10,
    };
  });
  const tugs = fill('port.tug', 28, (n) => ({ tug_id: n, name: `${word()} ${n}`, bollard_pull_t: 20 + n * 1.5 }));
  fill('port.tug_assignment', 10_000, (n) => ({
    job_no: jobs[n - 1]?.['job_no'] ?? 0,
    tug_id: random.pick(field(tugs, 'tug_id')),
    line_length_m: random.int(30, 120),
  }));
  const gangs = fill('port.mooring_gang', 9, (n) => ({ gang_name: `Gang ${letters(n, 1)}`, boats: 1 + (n % 3) }));
  fill('port.mooring_job', 8000, (n) => ({
    mooring_id: n,
    call_id: random.pick(callIds),
    gang_name: random.pick(field(gangs, 'gang_name')),
    started_at: moment(),
    lines: random.int(4, 14),
  }));
  const inspectors = fill('port.inspector', 30, (n) => ({ inspector_id: n, badge_no: `HI${padded(n * 31, 4)}`, name: person() }));
  fill('port.inspection', 2000, (n) => ({
    inspection_id: 3000 + n,
    vessel_id: random.pick(vesselIds),
    inspector_id: random.pick(field(inspectors, 'inspector_id')),
    inspected_on: day(),
    result: random.pick(['passed', 'passed with remarks', 'detained']),
    previous_inspection_id: n > 400 && random.chance(0.4) ? 3000 + random.int(1, n - 1) : null,
  }));
  fill('port.notice', 400, (n) => ({
    notice_id: n,
    notice_no: `N-${padded(n, 4)}`,
    published_on: day(),
    body: `Notice to mariners: works at ${word()} until further notice.`,
  }));
  fill('port.hazard_report', 800, (n) => ({
    report_id: n,
    call_id: random.chance(0.6) ? random.pick(callIds) : null,
    reported_at: moment(),
    remarks: `${random.pick(['oil on water', 'loose fender', 'light out', 'debris afloat'])} near ${word()}`,
  }));
  fill('port.incident_file', 60, (n) => ({
    incident_no: `IN-${padded(n, 3)}`,
    vessel_id: random.pick(vesselIds),
    statement: `Statement of ${person()}.`,
  }));

  const commodities = fill('cargo.commodity', 120, (n) => ({ commodity_code: `C${padded(n * 11, 4)}`, name: `${word()} goods` }));
  const shippers = fill('cargo.shipper', 900, (n) => ({
    shipper_id: n + 20_000,
    name: `${word()} ${random.pick(['Trading', 'Mills', 'Quarries', 'Fisheries'])}`,
    vat_no: random.chance(0.7) ? `V${padded(random.int(1, 500), 5)}` : null,
  }));
  const manifests = fill('cargo.manifest', 6000, (n) => ({
    manifest_no: `MF-${20 + (n % 6)}-${padded(n, 4)}`,
    call_id: random.pick(callIds),
    agent_id: random.pick(agentIds),
    issued_on: day(),
  }));
  const manifestNos = field(manifests, 'manifest_no');
  // Planted: 212 consignments on 9 manifests that do not exist; line numbers never repeat within a manifest, undeclared.
  const consignments = fill('cargo.consignment', 30_000, (n) => ({
    consignment_id: 200_000 + n,
    manifest_no: n <= 212 ? `MF-19-${padded(9001 + (n % 9), 4)}` : n % 160 === 0 ? null : (manifestNos[n % 6000] ?? null),
    line_no: n <= 212 ? Math.floor(n / 9) + 1 : Math.floor(n / 6000) + 1,
    commodity_code: random.pick(field(commodities, 'commodity_code')),
    shipper_id: random.pick(field(shippers, 'shipper_id')),
    weight_kg: random.int(40, 28_000),
  }));
  const containerTypes = fill('cargo.container_type', 12, (n) => ({
    type_code: `${random.pick([20, 40, 45])}G${n}`,
    name: `Type ${n} box`,
  }));
  const containers = fill('cargo.container', 4000, (n) => ({
    container_no: `SKHU${padded(n * 241, 7)}`,
    type_code: random.pick(field(containerTypes, 'type_code')),
    tare_kg: random.int(2000, 4800),
  }));
  const containerNos = field(containers, 'container_no');
  fill('cargo.consignment_container', 18_000, (n) => ({
    consignment_id: consignments[n - 1]?.['consignment_id'] ?? 0,
    container_no: containerNos[(n * 131) % 4000] ?? '',
    packages: random.int(1, 400),
  }));
  fill('cargo.seal', 5000, (n) => ({
    seal_no: `S${padded(n * 97, 7)}`,
    container_no: random.pick(containerNos),
    applied_at: moment(),
  }));
  fill('cargo.hold_plan', 4000, (n) => ({
    vessel_id: vesselIds[Math.floor((n - 1) / 4)] ?? 0,
    hold_no: ((n - 1) % 4) + 1,
    capacity_t: random.int(200, 9000),
  }));
  // Planted: no primary key; manifest_no with release_seq is the natural one.
  fill('cargo.customs_release', 5000, (n) => ({
    manifest_no: manifestNos[Math.floor((n - 1) / 2) * 2] ?? '',
    release_seq: ((n - 1) % 2) + 1,
    released_at: `${day()}T${padded(random.int(7, 17), 2)}:00:00Z`,
    officer: random.pick(['Ost', 'Vik', 'Hollen', 'Ramsey']),
  }));
  const warehouses = fill('cargo.warehouse', 14, (n) => ({
    warehouse_code: `W${padded(n, 2)}`,
    name: `${word()} shed ${n}`,
    area_code: random.pick(areaCodes),
  }));
  const slots = fill('cargo.storage_slot', 602, (n) => ({
    warehouse_code: warehouses[(n - 1) % 14]?.['warehouse_code'] ?? '',
    slot_no: Math.floor((n - 1) / 14) + 1,
    heated: random.chance(0.2),
  }));
  fill('cargo.storage_stay', 6000, (n) => {
    const slot = random.pick(slots);
    return {
      stay_id: n,
      consignment_id: random.pick(consignments)['consignment_id'] ?? 0,
      warehouse_code: slot['warehouse_code'] ?? '',
      slot_no: slot['slot_no'] ?? 0,
      stored_on: day(),
      released_on: random.chance(0.9) ? day() : null,
    };
  });

  const currencies = fill('dues.currency', 6, (n) => ({ currency_code: `SK${letters(n, 1)}`, name: `${word()} crown` }));
  const tariffs = fill('dues.tariff', 22, (n) => ({
    tariff_code: `TF${padded(n * 5, 3)}`,
    name: `${random.pick(['Quay', 'Fairway', 'Waste', 'Light'])} dues ${n % 9}`,
    valid_from: day(),
  }));
  fill('dues.tariff_line', 176, (n) => ({
    tariff_code: tariffs[Math.floor((n - 1) / 8)]?.['tariff_code'] ?? '',
    line_no: ((n - 1) % 8) + 1,
    basis: random.pick(['gross tonnage', 'metre', 'call', 'day']),
    rate: random.int(100, 90_000) / 10_000,
  }));
  const invoices = fill('dues.invoice', 12_000, (n) => ({
    invoice_id: 400_000 + n,
    invoice_no: `INV-${padded(n * 3, 7)}`,
    call_id: random.pick(callIds),
    agent_id: random.pick(agentIds),
    currency_code: random.pick(field(currencies, 'currency_code')),
    issued_on: day(),
    paid_on: random.chance(0.9) ? day() : null,
  }));
  fill('dues.invoice_line', 30_000, (n) => ({
    invoice_id: invoices[(n - 1) % 12_000]?.['invoice_id'] ?? 0,
    line_no: (Math.floor((n - 1) / 12_000) + 1) * 10,
    tariff_code: random.pick(field(tariffs, 'tariff_code')),
    amount: random.int(500, 900_000) / 100,
  }));
  fill('dues.receipt', 9000, (n) => ({
    receipt_no: `R${padded(n * 2, 7)}`,
    invoice_id: random.pick(invoices)['invoice_id'] ?? 0,
    amount: random.int(500, 900_000) / 100,
    received_on: day(),
  }));
  fill('dues.exemption', 340, (n) => ({
    exemption_no: `EX-${padded(n, 4)}`,
    vessel_id: vesselIds[n * 5] ?? 0,
    reason: random.pick(['hospital ship', 'training ship', 'state vessel']),
    valid_until: random.chance(0.5) ? day() : null,
  }));

  const gauges = fill('tide.gauge', 14, (n) => ({
    gauge_code: `G${padded(n, 2)}`,
    name: `${word()} gauge ${n}`,
    latitude: 58 + n / 100,
    longitude: -3 - n / 90,
  }));
  fill('tide.datum', 9, (n) => ({ datum_code: `D${n}`, name: `Datum ${n}`, offset_cm: n * 12 }));
  fill('tide.reading', 112_000, (n) => {
    const slot = Math.floor((n - 1) / 14);
    const level = Math.round(180 * Math.sin(slot / 7.9) + random.int(-15, 15));
    return {
      gauge_code: gauges[(n - 1) % 14]?.['gauge_code'] ?? '',
      read_at: new Date(firstDay + slot * 10 * 60_000).toISOString(),
      level_cm: random.chance(0.995) ? level : null,
    };
  });
  fill('tide.forecast', 3000, (n) => ({
    forecast_id: n,
    gauge_code: random.pick(field(gauges, 'gauge_code')),
    valid_at: moment(),
    level_cm: random.int(-200, 260),
    recorded_by: random.pick(['watch', 'model', 'duty officer']),
  }));
  // Planted: no primary key, though a unique index stands there.
  fill('tide.surge_warning', 120, (n) => ({
    warning_no: n * 4,
    gauge_code: random.pick(field(gauges, 'gauge_code')),
    issued_at: moment(),
    level_cm: random.int(260, 420),
  }));
  // Planted, in a table that everybody added to: see demo/truth.json.
  fill('port.crew_pass', 2400, (n) => {
    const from = day();
    const deleted = n % 6 === 0;
    return {
      pass_id: n,
      // Passes that were given back hand their badge on.
      badge_no: `CP${padded(deleted ? n - 1 : n, 5)}`,
      login: n % 800 === 1 ? `Crew${n + 1}` : `crew${n % 800 === 2 ? n : n + 10_000}`,
      passport_no: `P${padded(n === 900 || n === 1700 ? n - 1 : n, 6)}`,
      holder: person(),
      vessel_id: n % 8 === 3 ? 0 : n === 77 || n === 1234 ? 4 : random.pick(vesselIds),
      area_name: random.pick(field(areas, 'name')),
      granted_for_type: random.pick(['call', 'inspection', 'repair']),
      granted_for_id: random.int(1, 90_000),
      status: random.pick(['issued', 'returned', 'lost']),
      grade_code: n % 801 === 400 ? null : random.pick(['red', 'green']),
      gate_no: (n % 5) + 1,
      locker_no: n % 3 === 0 ? Math.floor(n / 3) % 397 : null,
      issued_on: n % 1000 === 500 ? 'spring' : from,
      valid_from: from,
      valid_until: n % 600 === 100 ? '2020-12-31' : '2026-12-31',
      deposit: random.int(0, 9000) / 100,
      escorted: random.chance(0.1) ? null : random.chance(0.3),
      note: n % 9 === 0 ? '' : n % 11 === 0 ? 'N/A' : n % 2 === 0 ? null : `seen by ${word()} ${n}`,
      old_pass: null,
      printed_at: `${from} 08:00:00`,
      deleted_at: deleted ? moment() : null,
    };
  });
  return tables;
}

const directions = ['North', 'East', 'South', 'West', 'Inner', 'Outer'];
const beginnings = ['Skar', 'Holm', 'Brand', 'Ling', 'Tern', 'Kelp', 'Moor', 'Sand', 'Grim', 'Fair', 'Storm', 'Birk'];
const endings = ['vik', 'ness', 'ey', 'sund', 'holt', 'fjell', 'wick', 'stad', 'haven', 'mark'];

/** Different letters for different numbers below 26 to the power of the width. */
function letters(n: number, width: number): string {
  let rest = n;
  let text = '';
  for (let i = 0; i < width; i++) {
    text = String.fromCharCode(65 + (rest % 26)) + text;
    rest = Math.floor(rest / 26);
  }
  return text;
}
