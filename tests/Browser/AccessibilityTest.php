<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Browser\Support\BrowserTestCase;

/** No violation of WCAG 2.2 at levels A and AA that axe-core can find, on any screen. */
final class AccessibilityTest extends BrowserTestCase
{
    public function testStaffScreens(): void
    {
        $this->signIn();
        foreach ([
            ['/arrivals', '.plan .line', 1280],
            ['/arrivals', '.plan .line', 1024],
            ['/arrivals', '.stone', 390],
            ['/arrivals?state=set-aside', '.arrival', 1280],
            ['/clients', '.row-table a', 1280],
            ['/clients?q=zzzz', '.empty', 1280],
            ['/projects', '.row-table a', 1280],
            ['/projects/wall', '.wall-project', 1280],
            ['/checklists', '.item-row', 1280],
            ['/checklists', '.stone', 390],
            ['/tasks?who=all', '.task-line', 1280],
            ['/messages', '.letter-text', 1280],
            ['/messages', '.message-row', 390],
            ['/forms', '.design-line', 1280],
            ['/forms', '.design-line', 1024],
            ['/clients/duplicates', 'table.pair', 1280],
            ['/clients/import', 'input[type=file]', 1280],
            ['/rules', '.rule .action-line', 1280],
            ['/rules/new', '.rule', 1024],
            ['/setup', 'main input', 1280],
            ['/nowhere', '.empty', 1280],
        ] as [$path, $sign, $width]) {
            $this->resize($this->driver, $width, 800);
            $this->go($path);
            $this->find($sign);
            $this->assertAccessible("$path at $width");
        }
    }

    public function testAClientAndAProject(): void
    {
        $this->signIn();
        $this->go('/clients?q=wilf');
        $this->clickWith('.row-table a', 'Wilf Ambry');
        $this->find('.journal-act');
        $this->assertAccessible();
        $this->clickOn('.lines a[href^="/projects/"]');
        $this->find('.task');
        $this->assertAccessible();
    }

    public function testTheTableOfAForm(): void
    {
        $this->signIn();
        $this->go('/forms');
        $this->clickWith('.arrival', 'Piano inquiry');
        $this->findWith('.sheet-head', 'Tell us about your piano');
        $this->clickWith('.would a', 'All its submissions');
        $this->find('.row-table tbody a');
        $this->assertAccessible();
        $this->find('input[type=search]')->sendKeys('zzzz');
        $this->findWith('.empty', 'No submission fits.');
        $this->assertAccessible();
    }

    public function testAnOpenDecisionAndTheSlabs(): void
    {
        $this->signIn();
        $this->clickWith('.arrival', 'Maeve');
        $this->find('.line.decide');
        $this->assertAccessible();
        $this->press('a');
        $this->find('.aside-panel');
        $this->assertAccessible();
        $this->press(\Facebook\WebDriver\WebDriverKeys::ESCAPE);
        $this->press('?');
        $this->findWith('[role=dialog]', 'undo the last change');
        $this->assertAccessible();
    }

    public function testSignIn(): void
    {
        $this->go('/sign-in');
        $this->find('input[type=password]');
        $this->assertAccessible();
    }

    #[DataProvider('widths')]
    public function testThePublicForm(int $width, int $height): void
    {
        $this->resize($this->driver, $width, $height);
        $this->go('/f/piano-inquiry');
        $this->find('#q-name');
        $this->assertAccessible();
        $this->clickOn('button[type=submit]');
        $this->findWith('.question-error', 'Tell us your name');
        $this->assertAccessible();
        $this->find('#q-name')->sendKeys('Axel Reader');
        $this->find('#q-email')->sendKeys('axel@example.com');
        $this->clickOn('button[type=submit]');
        $this->clickWith('.option', 'Something else');
        $this->assertAccessible();
        self::assertSame(
            0,
            $this->driver->executeScript('return Math.max(0, document.documentElement.scrollWidth - document.documentElement.clientWidth)'),
            'nothing to scroll sideways for',
        );
        $this->clickOn('button[type=submit]');
        $this->see('We have it');
        $this->assertAccessible();
        $this->go('/f/no-such-form');
        $this->see('There is no such form');
        $this->assertAccessible();
    }

    /** @return iterable<string, array{int, int}> */
    public static function widths(): iterable
    {
        yield 'desktop' => [1280, 800];
        yield 'phone' => [390, 844];
        yield 'the narrowest' => [320, 640];
    }
}
