import { openShop } from './lib/server.ts';
import { launch, Person, phone, wide } from './lib/browser.ts';
const shop = await openShop(); const browser = await launch();
try {
const p = await Person.at(browser, shop.base, wide); await p.signIn('Ines','2580');
const pause=(ms:number)=>new Promise(r=>setTimeout(r,ms));
const shot = async (n:string)=>{ await pause(700); await p.page.screenshot({path:`/tmp/shots/${n}.png`}); };
await p.go('/jobs/demo-minibus/drop'); await p.sees('holds it at'); await p.tap('[data-action=help]'); await p.sees('What lies ahead'); await pause(2500); await shot('ahead');
await p.go('/vehicles'); await p.sees('What the shop knows'); await shot('vehicles');
await p.go('/vehicles/van-4'); await p.sees('Keep it'); await pause(1500); await shot('vehicle');
await p.tap('[data-part="line:vent"]'); await pause(500); await shot('vehicle-line');
await p.go('/jobs/demo-saloon/record'); await p.sees('Signed'); await p.tap('[data-action=taught]'); await shot('taught');
await p.go('/jobs/demo-van-4/drop'); await p.sees('Something holds'); await shot('drop');
await p.page.setViewport(phone); await p.go('/jobs/demo-van-4/drop'); await p.sees('Something holds'); await p.tap('[data-action=ahead]'); await pause(2000); await shot('ahead-phone');
await p.go('/vehicles/van-4'); await p.sees('Keep it'); await pause(1500); await shot('vehicle-phone');
console.log(p.errors);
} finally { await browser.close(); await shop.stop(); }
