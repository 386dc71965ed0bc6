<?php

/*
 * bin/bench-felt [clients] [submissions]: how long it feels, in a desktop browser that is not slowed down: a cold
 * load until a plan is on the screen, and a key until the plan of the next arrival is.
 */

declare(strict_types=1);

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverExpectedCondition;
use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Process\Process;
use Telamon\Bench\Filler;
use Telamon\Bench\Started;

require_once dirname(__DIR__).'/vendor/autoload.php';

$driverPort = 8900 + (int) getmypid() % 200;
$chromedriver = new Process(['chromedriver', "--port=$driverPort"]);
$chromedriver->start();
$chromedriver->waitUntil(static fn (string $type, string $out): bool => str_contains($out, 'started successfully'));
register_shutdown_function(static function () use ($chromedriver): void {
    $chromedriver->stop();
});
$telamon = Started::as('felt');
$data = $telamon->data;
$db = new PDO("sqlite:$data/telamon.db");
$db->exec('PRAGMA busy_timeout = 10000');
(new Filler($db, "$data/telamon.db"))->fill((int) ($argv[1] ?? 100_000), (int) ($argv[2] ?? 100_000));

$options = new ChromeOptions();
$options->addArguments(['--headless', '--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage', '--window-size=1280,800', "--user-data-dir=$data/chrome"]);
$capabilities = DesiredCapabilities::chrome();
$capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
$driver = RemoteWebDriver::create("http://127.0.0.1:$driverPort", $capabilities);
$tell = static function (string $command, array $parameters) use ($driver): void {
    $driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => $command, 'params' => (object) $parameters]);
};
// Shown: the plan is in the page, and the browser has painted it.
$tell('Page.addScriptToEvaluateOnNewDocument', ['source' => <<<'JS'
    window.felt = { shown: null, key: null, next: null };
    const name = () => document.querySelector('.sheet-head')?.textContent ?? '';
    const there = () => document.querySelector('.line-sentence') !== null;
    const painted = (set) => requestAnimationFrame(() => setTimeout(() => set(performance.now()), 0));
    new MutationObserver((_, o) => { if (!there()) return; o.disconnect(); painted((t) => { window.felt.shown = t; }); }).observe(document, { childList: true, subtree: true });
    document.addEventListener('keydown', (event) => {
      if (event.key !== 'j') return;
      const before = name(); const began = performance.now(); window.felt.next = null;
      const o = new MutationObserver(() => { if (name() === before || !there()) return; o.disconnect(); painted((t) => { window.felt.next = t - began; }); });
      o.observe(document, { childList: true, subtree: true, characterData: true });
    }, true);
    JS]);
$number = static function (string $script) use ($driver): float {
    $driver->wait(20, 20)->until(static fn (): bool => null !== $driver->executeScript("return $script"));
    $value = $driver->executeScript("return $script");

    return is_numeric($value) ? (float) $value : throw new RuntimeException('no time came');
};
$driver->get("{$telamon->address}/sign-in");
$driver->wait(20)->until(WebDriverExpectedCondition::presenceOfElementLocated(WebDriverBy::cssSelector('input[type=password]')));
$driver->findElement(WebDriverBy::cssSelector('input[type=email], input[name=email]'))->clear()->sendKeys('coordinator@marrowby.example');
$driver->findElement(WebDriverBy::cssSelector('input[type=password]'))->sendKeys('telamon-demo'.WebDriverKeys::ENTER);
$driver->wait(20)->until(WebDriverExpectedCondition::presenceOfElementLocated(WebDriverBy::cssSelector('.line-sentence')));

$tell('Network.enable', []);
$cold = [];
for ($i = 0; $i < 7; ++$i) {
    $tell('Network.clearBrowserCache', []);
    $driver->get("{$telamon->address}/arrivals");
    $cold[] = $number('window.felt.shown');
}
$next = [];
for ($i = 0; $i < 20; ++$i) {
    // As somebody reads: the arrivals beside the one that is shown have come by then.
    $driver->wait(10, 50)
        ->until(
            static fn (): bool => true === $driver->executeScript(
                'return performance.getEntriesByType("resource").filter((one) => one.name.includes("ahead")).every((one) => one.responseEnd > 0) && performance.now() - Math.max(0, ...performance.getEntriesByType("resource").map((one) => one.responseEnd)) > 300',
            ),
        );
    $driver->findElement(WebDriverBy::cssSelector('body'))->sendKeys('j');
    $next[] = $number('window.felt.next');
}
$driver->quit();
sort($cold);
sort($next);
printf("cold load until a plan is shown: %.0f ms (median of %d, from %.0f to %.0f); the aim is 800\n", $cold[3], count($cold), $cold[0], $cold[6]);
printf("key until the next plan is shown: %.0f ms (median of %d; one of twenty above %.0f, at most %.0f); the aim is 100\n", $next[9], count($next), $next[18], $next[19]);
