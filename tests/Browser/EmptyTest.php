<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Process\Process;
use Telamon\Tests\Browser\Support\BrowserTestCase;
use Telamon\Tests\Browser\Support\Installation;
use Telamon\Tests\Support\DataFolder;

/** A new installation, as its owner finds it: every screen after every other, in one sitting. */
final class EmptyTest extends BrowserTestCase
{
    private ?Process $start = null;

    protected function tearDown(): void
    {
        parent::tearDown();
        $this->start?->stop(10);
    }

    public function testAllScreensInBothOrdersWithoutAReload(): void
    {
        $this->begin();
        $screens = ['/setup', '/forms', '/rules', '/checklists', '/messages', '/messages/templates', '/messages/follow-ups', '/messages/notices', '/messages/write', '/diary', '/diary/kinds', '/quotes', '/quotes/prices', '/tasks', '/clients', '/clients/new', '/projects', '/projects/new', '/inquiry', '/today', '/arrivals', '/account'];
        $titles = [];
        foreach ([...$screens, ...array_reverse($screens)] as $path) {
            // By the program's own way, so that what was asked before is still kept.
            $this->driver->executeScript("history.pushState({}, '', arguments[0]); dispatchEvent(new PopStateEvent('popstate'))", [$path]);
            $this->until(fn (): bool => [] === $this->all('.coming') && [] !== $this->all('main h1, main h2, main form, main .empty, main p'), "$path is shown");
            $titles[] = $path;
            self::assertStringNotContainsString('broke', strtolower($this->find('body')->getText()), $path);
            self::assertSame([], $this->complaints(), $path);
        }
        self::assertCount(2 * \count($screens), $titles);
    }

    private function begin(): void
    {
        $port = Installation::freePort();
        $data = DataFolder::root().'/empty';
        $this->start = new Process([\dirname(__DIR__, 2).'/bin/start', '--no-install', '--no-demo', '--port', (string) $port, '--data', $data], null, ['APP_ENV' => 'prod', 'APP_DEBUG' => '0', 'TELAMON_DATA' => $data], null, null);
        $this->start->start();
        $this->start->waitUntil(static fn (string $type, string $output): bool => str_contains($output, 'End it with'));
        self::assertSame(1, preg_match('#owner@business\.example / (\S+)#', $this->start->getOutput(), $m), $this->start->getErrorOutput());
        $this->address = "http://127.0.0.1:$port";
        $this->go('/sign-in');
        $this->find('input[type=email]')->sendKeys('owner@business.example');
        $this->find('input[type=password]')->sendKeys($m[1].WebDriverKeys::ENTER);
        $this->find('.lintel nav a');
    }
}
