<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Telamon\Tests\Browser\Support\BrowserTestCase;

/** A form is designed, tried, published, filled in on a phone, and read in Arrivals. */
final class FormsTest extends BrowserTestCase
{
    public function testFromAStarterToTheFirstArrival(): void
    {
        $this->signIn();
        $this->go('/forms');
        $this->clickWith('.design-tools button', 'New form');
        $this->find('.begin input')->sendKeys('Harp inquiry');
        $this->clickWith('.begin option', 'Short inquiry');
        $this->clickWith('.begin button', 'Begin');
        $this->findWith('.sheet-head', 'Harp inquiry');
        $this->findWith('.would', 'make the form public for the first time');

        // A question behind the last, shown on a condition.
        $this->clickWith('.design-line button', 'What is it about?');
        $this->press('+');
        $this->find('.add-line input')->sendKeys('num'.WebDriverKeys::ENTER);
        $this->until(
            fn (): bool => [] === $this->all('.add-line') && 'INPUT' === strtoupper($this->driver->switchTo()->activeElement()->getTagName()),
            'the wording is ready to be typed',
        );
        $this->driver->switchTo()->activeElement()->sendKeys('How many strings?');
        $this->clickWith('.particulars button', 'only if');
        $this->clickWith('select[aria-label="Question"] option', 'What is it about?');
        $this->find('input[aria-label="Value"]')->sendKeys('harp');
        $this->findWith('.design-line.chosen', 'only if 3 contains the word harp');
        $this->findWith('.pillar-head', 'saved');
        $this->assertAccessible();

        // Tried, and nothing made.
        $this->clickWith('.plinth button', 'Try it');
        $this->find('.try #q-name')->sendKeys('Trial Person');
        $this->find('.try #q-email')->sendKeys('trial@example.com');
        $this->find('.try #q-matter')->sendKeys('A harp');
        $this->findWith('.try', 'How many strings?');
        $this->clickWith('.slab-plinth button', 'Show the plan');
        $this->findWith('.try', 'New client: Trial Person');
        $this->press(WebDriverKeys::ESCAPE);
        $this->until(fn (): bool => [] === $this->all('[role=dialog]'), 'it closes');

        $this->clickWith('.plinth button', 'Publish version 1');
        $this->see('Version 1 is live at /f/harp-inquiry');
        self::assertSame([], $this->complaints());

        $coordinator = $this->driver;
        $this->driver = $this->open(390, 844);
        $this->go('/f/harp-inquiry');
        $this->find('#q-name')->sendKeys('Cordelia Pluck');
        $this->find('#q-email')->sendKeys('cordelia@example.com');
        $this->find('#q-matter')->sendKeys('My lyre');
        self::assertSame([], $this->all('[id^="q-q_"]'), 'not asked about a lyre');
        $this->find('#q-matter')->clear()->sendKeys('My harp');
        $this->find('[id^="q-q_"]')->sendKeys('36');
        $this->clickOn('button[type=submit]');
        $this->see('We have it');
        self::assertSame([], $this->complaints());

        $this->driver = $coordinator;
        $this->go('/arrivals');
        $this->clickWith('.arrival', 'Cordelia Pluck');
        $this->findWith('.sheet-head', 'Harp inquiry');
        $this->findWith('.answers', '36');
    }

    public function testTheDesignerIsClosedInMidWordAndNothingIsMissing(): void
    {
        $this->signIn();
        $this->go('/forms');
        $this->clickWith('.arrival', 'Hall instruments');
        $this->findWith('.sheet-head', 'Your hall’s instruments');
        $this->clickWith('.design-line button', 'How many steps to the door?');
        $this->until(
            fn (): bool => 'How many steps to the door?' === $this->driver->executeScript('return document.querySelector(".particulars input")?.value'),
            'its wording is there',
        );
        // Typed, and gone to another screen in the same moment.
        $this->find('.particulars input')->sendKeys(' And up to the sta');
        $this->clickWith('.lintel a', 'Clients');
        $this->find('.row-table');
        $this->go('/forms');
        $this->clickWith('.arrival', 'Hall instruments');
        $this->clickWith('.design-line button', 'How many steps to the door? And up to the sta');
        $this->until(
            fn (): bool => 'How many steps to the door? And up to the sta' === $this->driver->executeScript('return document.querySelector(".particulars input")?.value'),
            'what was typed is there',
        );
        // Typed while there is no connection, and the window closed.
        self::devTools($this->driver, 'Network.enable', []);
        self::devTools($this->driver, 'Network.emulateNetworkConditions', ['offline' => true, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1]);
        $this->find('.particulars input')->sendKeys('ge?');
        $this->findWith('.pillar-head', 'not saved yet');
        self::devTools($this->driver, 'Network.emulateNetworkConditions', ['offline' => false, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1]);
        $this->driver->navigate()->refresh();
        $this->findWith('.design-line button', 'And up to the stage?');
        $this->findWith('.pillar-head', 'saved');
    }

    public function testAQuestionThatOthersDependOnIsNotTakenOutUnnoticed(): void
    {
        $this->signIn();
        $this->go('/forms');
        $this->clickWith('.design-tools button', 'New form');
        $this->find('.begin input')->sendKeys('Our intake');
        $this->clickWith('.begin option', 'Intake');
        $this->clickWith('.begin button', 'Begin');
        $this->clickWith('.design-line button', 'Will you be deciding on your own?');
        $this->clickWith('.plinth button', 'Remove');
        $this->findWith('.design-line .trouble', 'Who decides with you?');
        $this->clickWith('.design-line .trouble button', 'Delete both');
        $this->until(fn (): bool => !str_contains($this->find('.design')->getText(), 'Will you be deciding on your own?'), 'it goes');
        self::assertStringContainsString('Who decides with you?', $this->find('.design')->getText());
        $this->clickWith('.design-tools button', 'Undo');
        $this->findWith('.design', 'Will you be deciding on your own?');
        $this->findWith('.pillar-head', 'saved');
    }
}
