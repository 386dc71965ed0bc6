<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser\Support;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Telamon\Tests\Support\DataFolder;

/** A test of the real interface, in a real browser that starts empty. */
abstract class BrowserTestCase extends TestCase
{
    private const WAIT = 25;
    private static ?Process $chromedriver = null;
    private static int $port = 0;

    protected RemoteWebDriver $driver;
    protected string $address;

    /** @var list<RemoteWebDriver> */
    private array $drivers = [];

    protected function setUp(): void
    {
        $this->address = Installation::running()->address;
        $this->driver = $this->open();
    }

    protected function tearDown(): void
    {
        if ($this->status()->isFailure() || $this->status()->isError()) {
            @mkdir(\dirname(__DIR__, 3).'/var/failed', 0o777, true);
            $this->driver->takeScreenshot(\dirname(__DIR__, 3).'/var/failed/'.preg_replace('/\W+/', '-', $this->nameWithDataSet()).'.png');
        }
        foreach ($this->drivers as $driver) {
            self::forgetTyped($driver);
            $driver->quit();
        }
    }

    /** What was typed and not saved waits on the server for its writer, wherever they sign in next; each test begins without. */
    protected static function forgetTyped(RemoteWebDriver $driver): void
    {
        try {
            self::forget($driver);
        } catch (WebDriverException) {
            // It shows no page any more.
        }
    }

    private static function forget(RemoteWebDriver $driver): void
    {
        $driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            const forget = ({ items }) => Promise.all(items.map((one) => fetch(`/api/drafts/${encodeURIComponent(one.name)}?revision=${one.revision}`, { method: 'DELETE' })));
            fetch('/api/drafts').then((answer) => (answer.ok ? answer.json().then(forget) : null)).catch(() => null).then(() => { try { localStorage.clear(); } catch { /* A page of nobody has no store. */ } done(); });
            JS);
    }

    /** A browser with nothing in it. */
    protected function open(int $width = 1280, int $height = 800): RemoteWebDriver
    {
        self::startChromeDriver();
        $options = new ChromeOptions();
        $options->addArguments([
            '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync',
            '--disable-dev-shm-usage', '--hide-scrollbars', '--force-device-scale-factor=1', '--lang=en-GB',
            '--user-data-dir='.DataFolder::root().'/chrome-'.bin2hex(random_bytes(4)),
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $driver = RemoteWebDriver::create('http://127.0.0.1:'.self::$port, $capabilities, 20_000, 60_000);
        $this->drivers[] = $driver;
        $this->resize($driver, $width, $height);

        return $driver;
    }

    protected function resize(RemoteWebDriver $driver, int $width, int $height): void
    {
        self::devTools($driver, 'Emulation.setDeviceMetricsOverride', ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => false]);
    }

    /** @param array<string, mixed> $parameters */
    protected static function devTools(RemoteWebDriver $driver, string $command, array $parameters): void
    {
        $driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => $command, 'params' => (object) $parameters]);
    }

    protected function go(string $path): void
    {
        $this->driver->get($this->address.$path);
    }

    protected function signInAs(string $email): void
    {
        $this->go('/sign-in');
        $this->find('input[type=email]')->sendKeys($email);
        $this->find('input[type=password]')->sendKeys('telamon-demo'.WebDriverKeys::ENTER);
        $this->find('.lintel nav a');
    }

    protected function signIn(): void
    {
        $this->signInAs('coordinator@marrowby.example');
        // The day begins with Today; most of what is tested begins with what came.
        $this->findWith('.lintel nav a', 'Arrivals')->click();
    }

    /** The first element that fits, once it is there. */
    protected function find(string $css): RemoteWebElement
    {
        $found = [];
        $this->until(function () use ($css, &$found): bool {
            $found = $this->all($css);

            return [] !== $found;
        }, "nothing fits $css");

        return $found[0] ?? self::fail("nothing fits $css");
    }

    /** @return list<RemoteWebElement> */
    protected function all(string $css): array
    {
        return array_values($this->driver->findElements(WebDriverBy::cssSelector($css)));
    }

    /** The first element that fits and holds these words, once it is there. */
    protected function findWith(string $css, string $words): RemoteWebElement
    {
        $found = null;
        $this->until(function () use ($css, $words, &$found): bool {
            foreach ($this->all($css) as $element) {
                if (str_contains($element->getText(), $words)) {
                    $found = $element;

                    return true;
                }
            }

            return false;
        }, "no $css with “{$words}”");
        self::assertInstanceOf(RemoteWebElement::class, $found);

        return $found;
    }

    /** Clicks what says this; again if it was drawn anew between being found and being clicked, as a list is that is asked for once more. */
    protected function clickWith(string $css, string $words): void
    {
        $this->until(function () use ($css, $words): bool {
            $this->findWith($css, $words)->click();

            return true;
        }, "no $css with “{$words}” to click");
    }

    /** The same of the first that fits. */
    protected function clickOn(string $css): void
    {
        $this->until(function () use ($css): bool {
            $this->find($css)->click();

            return true;
        }, "nothing fits $css to click");
    }

    /** Clicks what has this name for those who do not see it, once it is there; the beginning of the name is enough. */
    protected function click(string $label): void
    {
        $this->until(function () use ($label): bool {
            $button = $this->find("[aria-label^=\"$label\"]");
            $this->driver->executeScript('arguments[0].scrollIntoView({block: "center"})', [$button]);
            $button->click();

            return true;
        }, "nothing called “{$label}” to click");
    }

    protected function see(string $words): void
    {
        $this->until(fn (): bool => str_contains($this->find('body')->getText(), $words), "“{$words}” is not to be seen");
        $this->addToAssertionCount(1);
    }

    protected function press(string ...$keys): void
    {
        $this->driver->switchTo()->activeElement()->sendKeys($keys);
    }

    protected function pressMain(): void
    {
        $this->press(WebDriverKeys::CONTROL, WebDriverKeys::ENTER);
    }

    /** @param callable(): bool $condition */
    protected function until(callable $condition, string $otherwise): void
    {
        $this->driver->wait(self::WAIT, 60)->until(static function () use ($condition): bool {
            try {
                return $condition();
            } catch (\Facebook\WebDriver\Exception\StaleElementReferenceException|\Facebook\WebDriver\Exception\NoSuchElementException) {
                // It was drawn anew just now; look again.
                return false;
            } catch (\Facebook\WebDriver\Exception\UnknownErrorException $error) {
                // The same, told by the browser in other words.
                return str_contains($error->getMessage(), 'does not belong to the document') ? false : throw $error;
            }
        }, $otherwise);
    }

    /**
     * What the browser complained of, without the answers that a test asked for.
     *
     * @return list<string>
     */
    protected function complaints(): array
    {
        $found = [];
        foreach ($this->driver->manage()->getLog('browser') as $entry) {
            if (\is_array($entry) && 'SEVERE' === ($entry['level'] ?? '') && \is_string($entry['message'] ?? null) && !str_contains($entry['message'], 'Failed to load resource')) {
                $found[] = $entry['message'];
            }
        }

        return $found;
    }

    /** No violation of WCAG 2.2 at levels A and AA that axe-core can find, and no complaint of the browser. */
    protected function assertAccessible(string $where = ''): void
    {
        $axe = (string) file_get_contents(\dirname(__DIR__, 3).'/web/node_modules/axe-core/axe.min.js');
        $this->driver->executeScript($axe);
        $this->driver->manage()->timeouts()->setScriptTimeout(30);
        $found = $this->driver->executeAsyncScript(<<<'JS'
            const done = arguments[arguments.length - 1];
            axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })
                .then((r) => done(r.violations.flatMap((v) => v.nodes.map((n) => v.id + ': ' + n.target.join(' ') + ' ' + (n.any[0] ? n.any[0].message : n.failureSummary)))));
            JS);
        self::assertSame([], $found, $where);
        self::assertSame([], $this->complaints());
    }

    private static function startChromeDriver(): void
    {
        if (null !== self::$chromedriver && self::$chromedriver->isRunning()) {
            return;
        }
        self::$port = Installation::freePort();
        self::$chromedriver = new Process(['chromedriver', '--port='.self::$port], null, null, null, null);
        self::$chromedriver->start();
        self::$chromedriver->waitUntil(static fn (string $type, string $output): bool => str_contains($output, 'started successfully'));
        $process = self::$chromedriver;
        register_shutdown_function(static function () use ($process): void {
            $process->stop(2);
        });
    }
}
