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
        $screens = [
            '/setup',
            '/forms',
            '/rules',
            '/checklists',
            '/messages',
            '/messages/templates',
            '/messages/follow-ups',
            '/messages/notices',
            '/messages/write',
            '/diary',
            '/diary/kinds',
            '/quotes',
            '/quotes/prices',
            '/tasks',
            '/clients',
            '/clients/new',
            '/projects',
            '/projects/new',
            '/inquiry',
            '/today',
            '/arrivals',
            '/account',
        ];
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

    public function testAFormMadeByHandOpensTheProjectOfItsService(): void
    {
        $this->begin();
        $staff = $this->asked('GET', '/api/setup')['staff'] ?? null;
        self::assertIsArray($staff);
        self::assertIsArray($staff[0]);
        $this->asked(
            'POST',
            '/api/checklists',
            ['name' => 'Colouring', 'items' => [['key' => 'patch', 'name' => 'Patch test', 'doer' => 'lead', 'takes' => 1, 'waitsFor' => [], 'due' => null]]],
        );
        $this->go('/setup');
        $this->clickWith('button', 'Add service');
        $this->clickWith('.fact-edit select option', 'Colouring');
        $this->find('.fact-edit input')->sendKeys('Colour');
        $this->clickWith('.fact-does button', 'Add');
        $this->see('Colour added');
        $this->asked(
            'POST',
            '/api/diary/types',
            ['name' => 'Colour sitting', 'live' => true, 'settings' => ['people' => [[$staff[0]['id']]], 'lengths' => [60], 'service' => 'colour']],
        );
        $this->asked(
            'POST',
            '/api/prices',
            ['item' => [
                'code' => 'colour',
                'name' => 'Colour, whole head',
                'price' => '90.00',
                'unit' => 'E48',
                'vat' => ['category' => 'S', 'rate' => '23'],
                'group' => 'The work',
            ]],
        );
        $this->asked(
            'PUT',
            '/api/prices/setup',
            [
                'gross' => false,
                'vat' => ['category' => 'S', 'rate' => '23'],
                'validDays' => 14,
                'nudgeDays' => 3,
                'deposit' => '',
                'terms' => '',
                'draftStage' => '',
                'yesStage' => '',
                'rows' => [['service' => 'colour', 'code' => 'colour', 'question' => '', 'answer' => '', 'count' => '', 'quantity' => '1', 'optional' => false]],
            ],
        );

        $this->go('/forms');
        $this->clickWith('button', 'New form');
        $this->find('.begin input')->sendKeys('Ask for colour');
        $this->clickWith('.begin button', 'Begin');
        $this->findWith('.sheet-head', 'Ask for colour');
        $this->clickWith('[aria-label="What its submissions do"] option', 'each opens a project');
        $this->clickWith('.design-line button', 'Phone');
        $this->press('+');
        $this->find('.add-line input')->sendKeys('one of'.WebDriverKeys::ENTER);
        $this->until(
            fn (): bool => [] === $this->all('.add-line') && 'INPUT' === strtoupper($this->driver->switchTo()->activeElement()->getTagName()),
            'the wording is ready to be typed',
        );
        $this->driver->switchTo()->activeElement()->sendKeys('What would you like?');
        // Nobody has written a choice yet: the services are offered by themselves.
        $this->clickWith('[aria-label="Goes to"] option', 'project, service');
        $this->findWith('.design-line.chosen', 'Colour, Something else');
        $this->findWith('.pillar-head', 'saved');
        $this->clickWith('.plinth button', 'Publish version 1');
        $this->see('is live at /f/ask-for-colour');

        $office = $this->driver;
        $this->driver = $this->open(390, 844);
        $this->go('/f/ask-for-colour');
        $this->find('#q-name')->sendKeys('Wilhelmina Tarn');
        $this->find('#q-email')->sendKeys('mina@example.com');
        $this->clickWith('label.option', 'Colour');
        $this->clickOn('button[type=submit]');
        $this->see('We have it');

        $this->driver = $office;
        $this->go('/arrivals');
        $this->clickWith('.arrival', 'Wilhelmina');
        $this->findWith('.plan .line', 'Patch test');
        $this->findWith('.plan', 'Colour goes to');
        $this->pressMain();
        $this->see('Plan accepted');
        $project = $this->asked('GET', '/api/projects?limit=1')['items'] ?? null;
        self::assertIsArray($project);
        self::assertIsArray($project[0]);
        $id = \is_string($project[0]['id']) ? $project[0]['id'] : '';
        $this->go("/projects/$id");
        $this->findWith('.task', 'Patch test');
        $this->go("/diary?new=1&project=$id");
        $this->find('.good-times [aria-pressed=true]');
        self::assertStringContainsString('Colour sitting', $this->find('.new-visit select option:checked')->getText());
        $quote = $this->asked('POST', '/api/quotes', ['project' => $id])['content'] ?? null;
        self::assertIsArray($quote);
        self::assertIsArray($quote['lines']);
        self::assertSame(['Colour, whole head'], array_column($quote['lines'], 'name'));
        self::assertSame([], $this->complaints());
    }

    /**
     * What has its own tests through its screens: asked for as the page does.
     *
     * @param array<string, mixed>|null $body
     *
     * @return array<array-key, mixed>
     */
    private function asked(string $method, string $path, ?array $body = null): array
    {
        $answer = $this->driver->executeAsyncScript(
            'const done = arguments[3]; fetch(arguments[1], { method: arguments[0], headers: { "Content-Type": "application/json" }, ...(arguments[2] ? { body: JSON.stringify(arguments[2]) } : {}) }).then(async (answer) => done([answer.ok, await answer.text()]))',
            [$method, $path, $body],
        );
        self::assertIsArray($answer);
        self::assertIsString($answer[1]);
        self::assertTrue($answer[0], "$method $path: $answer[1]");
        $read = json_decode($answer[1], true);
        self::assertIsArray($read);

        return $read;
    }

    private function begin(): void
    {
        $port = Installation::freePort();
        $data = DataFolder::root().'/empty-'.bin2hex(random_bytes(3));
        $this->start = new Process(
            [\dirname(__DIR__, 2).'/bin/start', '--no-install', '--no-demo', '--port', (string) $port, '--data', $data],
            null,
            ['APP_ENV' => 'prod', 'APP_DEBUG' => '0', 'TELAMON_DATA' => $data, 'TELAMON_LEAST_SECONDS' => '0', 'TELAMON_PROOF_BITS' => '0'],
            null,
            null,
        );
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
