<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Telamon\Tests\Browser\Support\BrowserTestCase;

/** A session that ends, lists saved under names, pages in the business's colour, plans moved by hand: the way they break. */
final class ListsAndLooksTest extends BrowserTestCase
{
    public function testASessionThatEndsIsTakenUpAgainAboveWhatIsTyped(): void
    {
        $this->signIn();
        $this->go('/clients?q=ambry');
        $this->clickWith('.row-table a', 'Wilf Ambry');
        $this->clickOn('[data-fact="Notes"]');
        $this->find('.fact-edit textarea')->sendKeys('Ring twice.');
        $this->driver->manage()->deleteAllCookies();
        $this->find('.fact-edit textarea')->sendKeys([WebDriverKeys::CONTROL, WebDriverKeys::ENTER]);
        $this->see('You have been signed out');
        $this->find('.signed-out input[type=password]')->sendKeys('wrong'.WebDriverKeys::ENTER);
        $this->see('Wrong email or password');
        $password = $this->find('.signed-out input[type=password]');
        $password->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, 'telamon-demo', WebDriverKeys::ENTER]);
        $this->until(fn (): bool => [] === $this->all('.signed-out'), 'signed in, the screen is free again');
        self::assertSame('Ring twice.', $this->find('.fact-edit textarea')->getAttribute('value'), 'nothing typed is lost');
        $this->find('.fact-edit textarea')->sendKeys([WebDriverKeys::CONTROL, WebDriverKeys::ENTER]);
        $this->see('Notes saved');
        $this->press('u');
        $this->see('Undone: edited Wilf Ambry');
    }

    public function testAListIsNarrowedSavedFoundAgainByAnotherWindowAndRemoved(): void
    {
        $this->signIn();
        $this->go('/clients');
        $this->clickWith('summary', 'Service, place, last contact');
        $this->find('input[type=search][maxlength="100"]')->sendKeys('dunmarl');
        $this->see('clients found');
        $this->clickWith('button', 'Last contact');
        $this->until(
            fn (): bool => str_contains($this->driver->getCurrentURL(), 'sort=-contact') && str_contains($this->driver->getCurrentURL(), 'place=dunmarl'),
            'the address holds what is chosen',
        );
        $this->clickWith('button', 'Save this view');
        $this->driver->switchTo()->activeElement()->sendKeys('Over the bridge'.WebDriverKeys::ENTER);
        $this->findWith('.kept-views button', 'Over the bridge');
        $this->go('/clients');
        $this->clickWith('.kept-views button', 'Over the bridge');
        $this->see('clients found');
        $this->until(fn (): bool => str_contains($this->driver->getCurrentURL(), 'place=dunmarl'), 'used, it is as it was saved');
        $this->assertAccessible('the list of clients, narrowed');
        $this->clickWith('.kept-views button', 'Remove');
        $this->until(fn (): bool => [] === $this->all('.kept-views li'), 'removed, it is gone');
    }

    public function testPublicPagesWearTheColourOfTheBusinessUntilItIsUndone(): void
    {
        $this->signIn();
        $this->go('/setup');
        $this->clickOn('[data-fact="Colour"]');
        $this->find('.fact-edit input')->sendKeys('#FFCC00'.WebDriverKeys::ENTER);
        $this->see('It is too light to read');
        $this->find('.fact-edit input')->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '#7A2E4D', WebDriverKeys::ENTER]);
        $this->see('Colour saved');
        $this->go('/f/piano-inquiry');
        $button = $this->find('.MuiButton-contained');
        $this->until(fn (): bool => 'rgb(122, 46, 77)' === $this->driver->executeScript('return getComputedStyle(arguments[0]).backgroundColor', [$button]), 'the button wears it');
        $this->assertAccessible('the public form in another colour');
        $this->go('/setup');
        $this->find('[data-fact="Colour"]');
        $this->press('u');
        $this->see('Undone: changed the colour of the public pages');
    }

    public function testAMailIsReadBeforeItGoesAndAReasonLeadsToWhatIsBehindIt(): void
    {
        $this->signIn();
        $this->go('/arrivals');
        $this->clickWith('a', 'Conor Thornlea');
        $this->driver->executeScript('arguments[0].focus()', [$this->findWith('[data-line="message.confirmation"]', 'conor.thornlea')]);
        $this->clickWith('[data-line="message.confirmation"] button', 'what it says');
        $this->see('Hello Conor');
        $this->driver->executeScript('arguments[0].focus()', [$this->findWith('[data-line^="task."]', 'First talk')]);
        $this->clickWith('[data-line^="task."]:focus a', 'the checklist');
        $this->see('Every new project gets it.');
        $this->driver->navigate()->back();
        $this->find('[data-line="message.confirmation"]');
    }

    public function testAProjectIsPrintedAlsoAfterTheDiaryWasOpened(): void
    {
        $this->signIn();
        $this->clickWith('.lintel nav a', 'Diary');
        $this->find('.diary-head');
        $this->clickWith('.lintel nav a', 'Projects');
        $this->clickOn('.row-table tbody a');
        $this->find('.task');
        self::devTools($this->driver, 'Emulation.setEmulatedMedia', ['media' => 'print']);
        self::assertTrue($this->find('.task')->isDisplayed());
        self::assertFalse($this->find('.lintel')->isDisplayed());
        self::devTools($this->driver, 'Emulation.setEmulatedMedia', ['media' => '']);
    }
}
