<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Telamon\Tests\Browser\Support\BrowserTestCase;
use Telamon\Tests\Support\DataFolder;

/** Templates, what comes in, follow-ups and the notice board as people use them. */
final class MessagesTest extends BrowserTestCase
{
    public function testATemplateIsWrittenWithAFieldByTypingTriedAndTakenBack(): void
    {
        $this->signIn();
        $this->go('/messages/templates');
        $this->clickWith('.link-button', 'Add template');
        $this->until(
            fn (): bool => 'New template' === $this->find('.title-field')->getAttribute('value') && str_contains($this->find('.letter-field')->getText(), 'thank you for writing'),
            'the first words',
        );
        $text = $this->find('.letter-field');
        $text->click();
        $text->sendKeys([WebDriverKeys::CONTROL, WebDriverKeys::END]);
        $text->sendKeys(WebDriverKeys::NULL.' We come to {pla');
        $this->findWith('.offered-fields li', 'place');
        $text->sendKeys(WebDriverKeys::ENTER.' on Thursday.');
        $this->until(fn (): bool => 3 === \count($this->all('.letter-field .field-chip')), 'a third field');
        $this->until(fn (): bool => str_contains($this->find('.reading')->getText(), 'on Thursday.'), 'how it reads');
        // Going away and coming back loses nothing.
        $this->go('/today');
        $this->find('main');
        $this->driver->navigate()->back();
        $this->until(fn (): bool => str_contains($this->find('.letter-field')->getText(), 'on Thursday.'), 'what was typed');
        $this->assertAccessible('a template in draft');
        $this->find('.title-field')->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'Thursday letter'.WebDriverKeys::CONTROL.WebDriverKeys::ENTER.WebDriverKeys::NULL);
        $this->see('Thursday letter saved, version 2');
        $this->findWith('summary', '1 earlier version');
        $this->clickWith('button', 'Send me one');
        $this->see('A test is on its way to coordinator@marrowby.example');
        $this->driver->executeScript('document.activeElement.blur()');
        $this->press('u');
        $this->until(fn (): bool => [] === array_filter($this->all('.list-row'), static fn ($row): bool => str_contains($row->getText(), 'Thursday letter')), 'it is taken back');
        self::assertSame([], $this->complaints());
    }

    public function testAFieldThatCannotBeFilledIsSaidWhileOneTypes(): void
    {
        $this->signIn();
        $this->go('/messages/templates/confirmation');
        $this->find('.letter-field');
        $name = $this->find('.title-field');
        $name->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.WebDriverKeys::BACKSPACE);
        $this->see('Give it a name.');
        $this->clickWith('button', 'Discard');
        $this->until(fn (): bool => 'We have your inquiry' === $this->find('.title-field')->getAttribute('value'), 'as it was');
    }

    public function testAnAnswerIsReadByKeysAndTakenBackAndAnsweredByHand(): void
    {
        $this->signIn();
        $this->go('/messages');
        $this->clickWith('.message-row.to-read', 'Any day but the Friday');
        $this->findWith('.letter-text', 'Grand, go ahead');
        $this->findWith('.reply-decision', '85 %');
        $this->assertAccessible('an answer to read');
        $this->press('3');
        $this->findWith('.reply-starts li', 'lets the nudges wait');
        $this->pressMain();
        $this->see('Read as later');
        $this->findWith('.group-label', 'What came of it');
        $this->until(
            fn (): bool => [] === array_filter($this->all('.message-row.to-read'), static fn ($row): bool => str_contains($row->getText(), 'Any day but the Friday')),
            'it is decided',
        );
        $this->press('u');
        $this->findWith('.message-row.to-read', 'Any day but the Friday');
        // Written by hand, and kept as it is typed.
        $this->press('w');
        $this->find('#write-text')->sendKeys('We come on Tuesday, then.');
        $this->driver->navigate()->refresh();
        self::assertSame('We come on Tuesday, then.', $this->find('#write-text')->getAttribute('value'));
        $this->until(fn (): bool => str_starts_with((string) $this->find('#write-subject')->getAttribute('value'), 'Re: '), 'it answers that letter');
        $this->assertAccessible('a letter by hand');
        $this->pressMain();
        $this->findWith('.letter-html, .letter-text', 'We come on Tuesday, then.');
        self::assertSame([], $this->complaints());
    }

    public function testALetterTakesItsFileThroughAReloadAndATextGoesToTheirNumber(): void
    {
        $this->signIn();
        $this->go('/projects');
        $this->clickOn('.row-table a[href^="/projects/"]');
        $this->clickWith('a', 'Write');
        $this->find('#write-text')->sendKeys('We come at ten on Thursday.');
        $this->find('#write-subject')->sendKeys('Thursday');
        $path = DataFolder::root().'/how-we-come.pdf';
        file_put_contents($path, "%PDF-1.4\n1 0 obj <<>> endobj\ntrailer <<>>\n%%EOF\n");
        $this->find('.encloses input[type=file]')->sendKeys($path);
        $this->findWith('.encloses li', 'goes with it');
        $this->driver->navigate()->refresh();
        $this->findWith('.encloses li', 'how-we-come.pdf');
        $this->until(fn (): bool => '' !== (string) $this->find('#write-to')->getAttribute('value'), 'the address is known');
        $this->assertAccessible('a letter with a file');
        $this->pressMain();
        $this->findWith('.letter-papers', 'how-we-come.pdf');
        // What was brought along is on record, and can go with the next one.
        $this->driver->navigate()->back();
        $this->clickWith('a', 'Write');
        $this->findWith('.encloses-list label', 'how-we-come.pdf');
        $this->clickOn('#write-by option[value=text]');
        $this->find('#write-text')->sendKeys('Ten it is €');
        $this->see('12 GSM-7 places, 1 part');
        $this->until(fn (): bool => '' !== (string) $this->find('#write-to')->getAttribute('value'), 'the number is known');
        $this->assertAccessible('a text message');
        $this->pressMain();
        $this->findWith('.text-bubble', 'Ten it is €');
        self::assertSame([], $this->complaints());
    }

    public function testALetterFromATemplateKeepsItsFormThroughAReloadAndIsSentWithIt(): void
    {
        $this->signIn();
        $this->go('/projects');
        $this->clickOn('.row-table a[href^="/projects/"]');
        $this->clickWith('a', 'Write');
        $this->clickWith('#write-template option', 'First answer');
        $this->until(fn (): bool => str_contains((string) $this->find('#write-text')->getAttribute('value'), 'thank you for writing to us'), 'the template is there');
        self::assertStringNotContainsString('Anna', (string) $this->find('#write-text')->getAttribute('value'), 'nobody is called by an example');
        $this->clickWith('button', 'With headings, lists, links');
        $this->findWith('.letter-field', 'thank you for writing to us')->sendKeys(WebDriverKeys::END);
        $this->clickWith('.letter-tools button', 'Heading');
        $this->find('.letter-field h2');
        $this->assertAccessible('a letter with headings');
        $this->driver->navigate()->refresh();
        $this->findWith('.letter-field h2', 'Marrowby Piano Workshop');
        $this->until(fn (): bool => str_contains((string) $this->find('#write-to')->getAttribute('value'), '@'), 'it is known where it goes');
        $this->pressMain();
        $this->findWith('.letter-html h2', 'Marrowby Piano Workshop');
        self::assertSame([], $this->complaints());
    }

    public function testARoomCallsSomebodyAndAClientIsPlayedInSetup(): void
    {
        $this->signIn();
        $this->go('/messages/notices');
        $this->clickWith('.rooms .list-row', 'Desk');
        $this->clickWith('.link-button', 'Edit');
        $this->clickWith('.room-form .link-button', 'Add hours');
        $this->find('.on-call select');
        // A reload in the middle loses nothing.
        $this->driver->navigate()->refresh();
        $this->clickWith('.link-button', 'Edit');
        $this->find('.on-call select');
        $this->assertAccessible('hours on call');
        $this->clickWith('.room-form button', 'Save');
        $this->until(fn (): bool => [] === $this->all('.room-form'), 'it is saved');
        $this->go('/setup');
        $this->find('.stand-in input[type=email]')->sendKeys('nobody.knows@example.com');
        $this->find('.stand-in textarea')->sendKeys('Do you mend harps, too?');
        $this->clickWith('.stand-in button', 'Let it come in');
        $this->clickWith('.stand-in [role=status] a', 'A-');
        $this->findWith('.sheet-head', 'nobody.knows');
        self::assertSame([], $this->complaints());
    }

    public function testASeriesIsRehearsedOnAWoundClockChangedAndTakenBack(): void
    {
        $this->signIn();
        $this->go('/messages/follow-ups/first-answer');
        $this->until(fn (): bool => 6 === \count($this->all('.dry-acts li')), 'five messages and the end');
        $this->assertAccessible('a follow-up');
        $this->press(']');
        $this->until(fn (): bool => 2 === \count($this->all('.dry-acts li.gone')), 'the clock is wound to the second');
        $this->press('7');
        $this->until(fn (): bool => 3 === \count($this->all('.dry-acts li')), 'stop ends it');
        $this->press('7');
        $this->until(fn (): bool => 6 === \count($this->all('.dry-acts li')), 'and again without');
        // The same on the line of who has not answered: in figures, and a step is opened from it.
        $this->findWith('.profile-step', 'First answer');
        self::assertCount(5, $this->all('.profile-step'));
        $this->clickWith('.profile button', 'As a table');
        self::assertCount(5, $this->all('.profile-table tbody tr'));
        $this->assertAccessible('an answer profile in figures');
        $this->clickWith('.profile button', 'As a line');
        // Who stands there is a pin; where several stand close they are named below.
        $this->find('a.profile-pin[href^="/clients/"], button.profile-pin');
        $this->all('.profile-step')[1]->click();
        $this->find('[aria-label="Template"]');
        $this->all('.series-name')[1]->click();
        $this->find('[aria-label="How long"]')->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'5');
        $this->findWith('.series-name', '5 days');
        $this->pressMain();
        $this->see('First answer and nudges saved, version 2');
        $this->findWith('.series-old', 'an older version');
        $this->clickWith('.series-old button', 'goes on with the next');
        $this->see('Brought to version 2');
        $this->driver->executeScript('document.activeElement.blur()');
        $this->press('u');
        $this->find('.series-old');
        $this->all('.series-figure')[0]->click();
        $this->find('.series-people a[href^="/clients/"]');
        $this->go('/messages/follow-ups/after-visit');
        $this->findWith('.series-name', 'Ring and ask how it was');
        self::assertSame(
            1,
            $this->driver->executeScript('return new Set([...document.querySelectorAll(".series-name")].map(one => Math.round(one.getBoundingClientRect().left))).size'),
            'every kind of step stands at the same edge',
        );
        self::assertSame([], $this->complaints());
    }

    public function testTheBoardIsReadWrittenToAndSeen(): void
    {
        $this->signIn();
        $this->go('/messages/notices');
        $this->findWith('.group-label', 'Not seen by you');
        $this->assertAccessible('the notice board');
        $this->clickWith('.rooms .list-row', 'Desk');
        $this->find('.notice-line');
        $this->press('w');
        $this->find('.notice-write textarea')->sendKeys('Tea at four <b>in the yard</b>'.WebDriverKeys::ENTER);
        $this->findWith('.notice-line', 'Tea at four <b>in the yard</b>');
        $this->clickWith('.rooms .list-row', 'To me');
        $this->clickWith('button', 'All seen');
        $this->until(fn (): bool => [] === array_filter($this->all('.group-label'), static fn ($one): bool => str_contains($one->getText(), 'Not seen by you')), 'all is seen');
        self::assertSame([], $this->complaints());
        $this->resize($this->driver, 390, 844);
        $this->driver->findElement(WebDriverBy::xpath("//*[@role='tab'][contains(., 'Notices')]"))->click();
        $this->findWith('.notice-line', 'Tea at four');
        $this->assertAccessible('the notice board on a phone');
    }
}
