// Times cold hydraulic solves in EPANET (npm epanet-js): the reference networks and a grid of about 2,000 pipes, at accuracy
// 1e-6 and 1e-8. Prints a line a network: name, microseconds at 1e-6, at 1e-8. Leaves out reading the file and ordering the
// equations. Usage: node time.mjs FOLDER_OF_REFERENCE_NETWORKS
import { Project, Workspace } from 'epanet-js';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const WATER = 1.1e-5 * 0.09290304;

function grid(side) {
  const nodes = [], links = [];
  const pipe = (id, from, to, mix) => links.push({ id, from, to, type: 'pipe', length_m: 0.4 + 0.1 * (mix % 5),
    diameter_m: 0.006 + 0.001 * (mix % 7), roughness_m: 1.5e-6, K: mix % 3, status: 'open' });
  for (let i = 0; i < side; i++) {
    for (let k = 0; k < side; k++) {
      const id = `${i}-${k}`;
      nodes.push(i + k === 0 ? { id, type: 'reservoir', head_m: 20000 / (720 * 9.80665) }
        : { id, type: 'junction', elevation_m: 0, demand_m3_s: 2e-8 });
      if (i > 0) pipe('v' + id, `${i - 1}-${k}`, id, i * 7 + k);
      if (k > 0) pipe('h' + id, `${i}-${k - 1}`, id, i + 5 * k);
    }
  }
  return { fluid: { rho_kg_m3: 720, nu_m2_s: 5.5e-7 }, nodes, links };
}

function inp(net, accuracy) {
  const rows = { J: [], R: [], P: [], U: [], C: [] };
  for (const n of net.nodes) {
    if (n.type === 'reservoir') rows.R.push(`${n.id}\t${n.head_m}`);
    else rows.J.push(`${n.id}\t${n.elevation_m ?? 0}\t${(n.demand_m3_s ?? 0) * 1000}`);
  }
  for (const l of net.links) {
    if (l.type === 'pump') {
      rows.U.push(`${l.id}\t${l.from}\t${l.to}\tHEAD C${l.id}`);
      for (const [q, h] of l.curve.points_q_m3s_h_m) rows.C.push(`C${l.id}\t${q * 1000}\t${h}`);
    } else {
      rows.P.push([l.id, l.from, l.to, l.length_m, l.diameter_m * 1000, l.roughness_m * 1000, l.K,
        l.checkValve ? 'CV' : l.status === 'closed' ? 'Closed' : 'Open'].join('\t'));
    }
  }
  return `[JUNCTIONS]\n${rows.J.join('\n')}\n[RESERVOIRS]\n${rows.R.join('\n')}\n[PIPES]\n${rows.P.join('\n')}\n[PUMPS]\n`
    + `${rows.U.join('\n')}\n[CURVES]\n${rows.C.join('\n')}\n[OPTIONS]\nUNITS LPS\nHEADLOSS D-W\nSPECIFIC GRAVITY `
    + `${net.fluid.rho_kg_m3 / 1000}\nVISCOSITY ${net.fluid.nu_m2_s / WATER}\nTRIALS 500\nACCURACY ${accuracy}\n[END]\n`;
}

async function time(net, accuracy) {
  const ws = new Workspace();
  if (ws.loadModule) await ws.loadModule();
  ws.writeFile('net.inp', inp(net, accuracy));
  const model = new Project(ws);
  model.open('net.inp', 'report.rpt', 'out.bin');
  model.openH();
  const each = net.links.length > 500 ? 10 : 400;
  const once = solve => {
    const start = process.hrtime.bigint();
    for (let i = 0; i < each; i++) {
      model.initH(10);
      if (solve) model.runH();
    }
    return Number(process.hrtime.bigint() - start) / 1000 / each;
  };
  const median = f => { const a = Array.from({ length: 41 }, f).sort((x, y) => x - y); return a[20]; };
  for (let i = 0; i < 30; i++) once(true);
  const both = median(() => once(true));
  const reset = median(() => once(false));
  model.closeH();
  model.close();
  return both - reset;
}

const folder = process.argv[2];
for (const name of ['c01', 'c04', 'c14', 'c20', 'grid2000']) {
  const net = name === 'grid2000' ? grid(32) : JSON.parse(readFileSync(join(folder, name + '.json'), 'utf8'));
  console.log(name, (await time(net, 1e-6)).toFixed(2), (await time(net, 1e-8)).toFixed(2), net.links.length);
}
