<?php

/*
 * bin/bench-phone: how long until the public form of the demo can be used on a slow phone, by the browser's
 * own throttling: processor 4 times slower, 1.6 Mbit/s, 150 ms there and back. Loaded cold, five times.
 */

declare(strict_types=1);

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverExpectedCondition;
use Symfony\Component\Process\Process;
use Telamon\Bench\Started;

require_once dirname(__DIR__).'/vendor/autoload.php';

$driverPort = 8700 + (int) getmypid() % 200;
$chromedriver = new Process(['chromedriver', "--port=$driverPort"]);
$chromedriver->start();
$chromedriver->waitUntil(static fn (string $type, string $out): bool => str_contains($out, 'started successfully'));
register_shutdown_function(static function () use ($chromedriver): void {
    $chromedriver->stop();
});
$telamon = Started::as('phone');
$data = $telamon->data;

$options = new ChromeOptions();
$options->addArguments(['--headless', '--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage', "--user-data-dir=$data/chrome"]);
$capabilities = DesiredCapabilities::chrome();
$capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
$driver = RemoteWebDriver::create("http://127.0.0.1:$driverPort", $capabilities);
$tell = static function (string $command, array $parameters) use ($driver): void {
    $driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => $command, 'params' => (object) $parameters]);
};
$tell('Emulation.setDeviceMetricsOverride', ['width' => 390, 'height' => 844, 'deviceScaleFactor' => 2, 'mobile' => true]);
$tell('Emulation.setCPUThrottlingRate', ['rate' => 4]);
$tell('Network.enable', []);
$tell('Network.setCacheDisabled', ['cacheDisabled' => true]);
$tell('Network.emulateNetworkConditions', ['offline' => false, 'latency' => 150, 'downloadThroughput' => 1_600_000 / 8, 'uploadThroughput' => 750_000 / 8]);
// Usable: the first field is in the page, and the browser has come round to painting and to nothing else.
$tell(
    'Page.addScriptToEvaluateOnNewDocument',
    [
        'source' => 'new MutationObserver((_, o) => { if (!document.querySelector(".question input")) return; o.disconnect(); requestAnimationFrame(() => setTimeout(() => { window.usableAfter = performance.now(); }, 0)); }).observe(document, { childList: true, subtree: true });',
    ],
);

$times = [];
for ($i = 0; $i < 5; ++$i) {
    $driver->get("{$telamon->address}/f/piano-inquiry");
    $driver->wait(30)->until(WebDriverExpectedCondition::presenceOfElementLocated(WebDriverBy::cssSelector('.question input')));
    $driver->wait(10, 50)->until(static fn (): bool => null !== $driver->executeScript('return window.usableAfter ?? null'));
    $after = $driver->executeScript('return window.usableAfter');
    $times[] = is_numeric($after) ? (float) $after / 1000 : throw new RuntimeException('no time came');
}
$driver->quit();
sort($times);
printf("usable after %.2f s (median of %d, from %.2f to %.2f); the aim is 3 s\n", $times[intdiv(count($times), 2)], count($times), $times[0], $times[count($times) - 1]);
