<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Telamon\Tests\Browser\Support\BrowserTestCase;

/** Clients written down by hand, the way it breaks. */
final class ClientsTest extends BrowserTestCase
{
    public function testAFactIsEditedWhereItStandsAndNothingTypedIsLost(): void
    {
        $this->signIn();
        $this->go('/clients?q=ambry');
        $this->clickWith('.row-table a', 'Wilf Ambry');
        $this->clickOn('[data-fact="Notes"]');
        $this->find('.fact-edit textarea')->sendKeys('The dog bites. ☂');
        $this->driver->navigate()->refresh();
        $this->until(fn (): bool => 'The dog bites. ☂' === $this->find('.fact-edit textarea')->getAttribute('value'), 'a reload in the middle loses nothing');
        $this->go('/messages');
        $this->find('h1');
        $this->driver->navigate()->back();
        $this->until(fn (): bool => 'The dog bites. ☂' === $this->find('.fact-edit textarea')->getAttribute('value'), 'nor does going away');
        $this->find('.fact-edit textarea')->sendKeys([WebDriverKeys::CONTROL, WebDriverKeys::ENTER]);
        $this->see('Notes saved');
        $this->see('The dog bites. ☂');

        $this->find('[data-fact="Phone"]')->sendKeys(WebDriverKeys::ENTER);
        $this->find('.fact-edit input')->sendKeys(' or so'.WebDriverKeys::ENTER);
        $this->see('Use figures');
        $this->find('.fact-edit input')->sendKeys(WebDriverKeys::ESCAPE);
        $this->until(fn (): bool => [] === $this->all('.fact-edit'), 'Escape leaves it as it was');
        $this->press('u');
        $this->see('Undone: edited Wilf Ambry');
        $this->until(fn (): bool => !str_contains($this->find('.facts')->getText(), 'The dog bites'), 'one key takes it back');
    }

    public function testSomebodyNewIsPutOnFileOnceHoweverOftenTheKeyIsPressed(): void
    {
        $this->signIn();
        $this->go('/clients');
        $this->clickWith('a', 'New client');
        $fields = $this->find('.new-client');
        $this->see('Nobody like this so far.');
        $this->find('.new-client input')->sendKeys('Wilf'.WebDriverKeys::TAB.'Ambry'.WebDriverKeys::TAB);
        $this->findWith('[role=status] a', 'Wilf Ambry');
        self::assertTrue($fields->isDisplayed());
        $this->driver->switchTo()->activeElement()->sendKeys('Lantern Hall');
        $this->driver->switchTo()->activeElement()->sendKeys([WebDriverKeys::CONTROL, WebDriverKeys::ENTER, WebDriverKeys::ENTER]);
        $this->see('is on file');
        $this->see('Lantern Hall');
        $this->go('/clients?q=ambry');
        $this->until(fn (): bool => 2 === \count(array_filter($this->all('.row-table a'), static fn ($link): bool => 'Wilf Ambry' === $link->getText())), 'one more, and no third');
    }
}
