<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Telamon\Tests\Browser\Support\BrowserTestCase;
use Telamon\Tests\Support\DataFolder;

final class PublicFormTest extends BrowserTestCase
{
    public function testWhatIsWrongStandsBesideTheField(): void
    {
        $this->go('/f/piano-inquiry');
        $this->find('#q-email')->sendKeys('orla@example');
        $this->find('button[type=submit]')->click();
        $this->see('Tell us your name.');
        $this->see('Add the ending, such as .com.');
        $this->see('2 answers need another look');
        self::assertSame('q-name', $this->driver->switchTo()->activeElement()->getAttribute('id'));
        self::assertSame('true', $this->find('#q-email')->getAttribute('aria-invalid'));
        self::assertSame('orla@example', $this->find('#q-email')->getAttribute('value'));
    }

    public function testTheServerHasTheLastWordAndLeadsBack(): void
    {
        $this->firstPage('bo@example..com');
        $this->find('button[type=submit]')->click();
        $this->see('That is not an email address.');
        self::assertSame('q-email', $this->driver->switchTo()->activeElement()->getAttribute('id'));
    }

    public function testWhatWasTypedOutlastsAReload(): void
    {
        $this->firstPage('keeper@example.com');
        $this->find('#q-matter')->sendKeys('It must not get lost.');
        $this->until(fn (): bool => str_contains((string) $this->text('return localStorage.getItem("telamon.form.piano-inquiry")'), 'get lost'), 'it was not kept');
        $this->driver->navigate()->refresh();
        $this->acceptLeaving();
        self::assertSame('keeper@example.com', $this->find('#q-email')->getAttribute('value'));
        $this->find('button[type=submit]')->click();
        self::assertSame('It must not get lost.', $this->find('#q-matter')->getAttribute('value'));
    }

    public function testNoConnectionKeepsEverythingAndOffersAgain(): void
    {
        $this->firstPage('offline@example.com');
        $this->network(true);
        $this->find('button[type=submit]')->click();
        $this->see('The server cannot be reached. Nothing is lost');
        $this->network(false);
        $this->findWith('.trouble button', 'Try again')->click();
        $this->see('We have it');
    }

    public function testADoubleClickSendsOnce(): void
    {
        $this->firstPage('twice@example.com');
        $button = $this->find('button[type=submit]');
        $this->driver->executeScript('arguments[0].click(); arguments[0].click(); arguments[0].click();', [$button]);
        $this->see('We have it');
        $db = new \PDO('sqlite:'.Support\Installation::running()->data.'/telamon.db');
        $result = $db->query("SELECT COUNT(*) FROM submission WHERE answers LIKE '%twice@example.com%'");
        self::assertNotFalse($result);
        self::assertSame(1, (int) $result->fetchColumn());
    }

    public function testAFileThatIsTooLargeOrOfNoKindTakenIsToldAndTheRestGoesOn(): void
    {
        $this->firstPage('files@example.com');
        $large = DataFolder::root().'/large.jpg';
        $handle = fopen($large, 'w');
        self::assertIsResource($handle);
        ftruncate($handle, 40 * 1_048_576);
        fclose($handle);
        $this->find('input[type=file]')->sendKeys($large);
        $this->see('This file has more than 10 MB.');
        $script = DataFolder::root().'/shell.jpg';
        file_put_contents($script, '<?php echo 1;');
        $this->find('input[type=file]')->sendKeys($script);
        $this->see('This is something else, whatever its name says.');
        foreach ($this->all('.drop-files li') as $ignored) {
            $this->findWith('.drop-files button', 'Take out')->click();
        }
        $this->find('button[type=submit]')->click();
        $this->see('We have it');
    }

    private function firstPage(string $email): void
    {
        $this->go('/f/piano-inquiry');
        $this->find('#q-name')->sendKeys('Bo Trier');
        $this->find('#q-email')->sendKeys($email);
        $this->find('button[type=submit]')->click();
        $this->findWith('.option', 'Tune it')->click();
    }

    private function network(bool $offline): void
    {
        self::devTools($this->driver, 'Network.enable', []);
        self::devTools($this->driver, 'Network.emulateNetworkConditions', ['offline' => $offline, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1]);
    }

    private function text(string $script): ?string
    {
        $value = $this->driver->executeScript($script);

        return \is_string($value) ? $value : null;
    }

    /** The browser asks before leaving what is half filled in. */
    private function acceptLeaving(): void
    {
        try {
            $this->driver->switchTo()->alert()->accept();
        } catch (\Facebook\WebDriver\Exception\NoSuchAlertException) {
            // The driver has answered it already.
        }
    }
}
