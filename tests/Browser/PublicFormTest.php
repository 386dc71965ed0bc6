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
        $this->clickOn('button[type=submit]');
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
        $this->clickOn('button[type=submit]');
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
        $this->clickOn('button[type=submit]');
        self::assertSame('It must not get lost.', $this->find('#q-matter')->getAttribute('value'));
    }

    public function testNoConnectionKeepsEverythingAndOffersAgain(): void
    {
        $this->firstPage('offline@example.com');
        $this->network(true);
        $this->clickOn('button[type=submit]');
        $this->see('The server cannot be reached. Nothing is lost');
        $this->network(false);
        $this->clickWith('.trouble button', 'Try again');
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
        $this->until(fn (): bool => 2 === \count($this->all('.drop-files .question-error')), 'both are told');
        foreach ($this->all('.drop-files li') as $ignored) {
            $this->clickWith('.drop-files button', 'Remove');
        }
        $this->clickOn('button[type=submit]');
        $this->see('We have it');
    }

    public function testThreePeopleSendThreeInquiriesFromOneSlowPhoneWhileTheFormIsPublishedAnew(): void
    {
        $this->resize($this->driver, 390, 844);
        $database = new \PDO('sqlite:'.Support\Installation::running()->data.'/telamon.db');
        $count = static function (string $sql) use ($database): int {
            $result = $database->query($sql);

            return false === $result ? -1 : (int) $result->fetchColumn();
        };
        $people = ['Ada Birk' => 'ada.birk@example.com', 'Ben Cole' => 'ben.cole@example.com', 'Cyd Dale' => 'cyd.dale@example.com'];
        $this->go('/f/piano-inquiry');
        foreach (array_keys($people) as $i => $name) {
            $this->find('#q-name')->sendKeys($name);
            $this->find('#q-email')->sendKeys($people[$name]);
            $this->clickOn('button[type=submit]');
            $this->clickWith('.option', 'Tune it');
            self::devTools($this->driver, 'Network.enable', []);
            self::devTools(
                $this->driver,
                'Network.emulateNetworkConditions',
                ['offline' => false, 'latency' => 150, 'downloadThroughput' => 200_000, 'uploadThroughput' => 60_000],
            );
            $this->find('input[type=file]')->sendKeys(implode("\n", array_map(fn (int $n): string => $this->photograph("$i-$n"), range(1, 8))));
            $this->until(fn (): bool => 8 === \count($this->all('.drop-files li')), 'eight are listed at once');
            // To the first page and back while they are on their way.
            $this->clickWith('.public-foot button', 'Back');
            $this->find('#q-name');
            if (0 === $i) {
                $this->publishAnew();
            }
            $this->clickOn('button[type=submit]');
            $this->until(fn (): bool => 8 === \count($this->all('.drop-files [aria-label^="Remove"]')) && $this->find('button[type=submit]')->isEnabled(), 'all eight arrive');
            self::devTools($this->driver, 'Network.emulateNetworkConditions', ['offline' => false, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1]);
            $this->clickOn('button[type=submit]');
            $this->see('We have it');
            self::assertSame(8, $count("SELECT COUNT(*) FROM attachment a JOIN submission s ON s.id = a.submission_id WHERE s.answers LIKE '%{$people[$name]}%'"), $name);
            $this->clickWith('.thanks button', 'Send another');
            $this->until(fn (): bool => [] !== $this->all('#q-name') && '' === $this->find('#q-name')->getAttribute('value'), 'the next one begins anew');
        }
        self::assertSame(
            3,
            $count("SELECT COUNT(DISTINCT s.number) FROM submission s WHERE s.answers LIKE '%ada.birk@%' OR s.answers LIKE '%ben.cole@%' OR s.answers LIKE '%cyd.dale@%'"),
        );
    }

    public function testAFailedSendingIsSeenBesideTheButtonOnAPhone(): void
    {
        $this->resize($this->driver, 390, 844);
        $this->firstPage('phone.failing@example.com');
        $this->driver->executeScript('window.scrollTo(0, document.body.scrollHeight)');
        $this->network(true);
        $this->clickOn('button[type=submit]');
        $this->see('The server cannot be reached. Nothing is lost');
        $this->until(
            fn (): bool => true === $this->driver->executeScript(
                'const box = document.querySelector(".public-trouble").getBoundingClientRect(); return box.top >= 0 && box.bottom <= innerHeight && document.activeElement.classList.contains("public-trouble")',
            ),
            'it is in sight and in focus',
        );
        $this->network(false);
        $this->clickWith('.trouble button', 'Try again');
        $this->see('We have it');
    }

    /** Another version goes live, by another browser. */
    private function publishAnew(): void
    {
        $own = $this->driver;
        $this->driver = $this->open();
        $this->signIn();
        $done = $this->driver->executeAsyncScript(<<<'JS'
            const done = arguments[arguments.length - 1];
            (async () => {
              const json = (path, method, body) => fetch(path, { method, headers: { 'Content-Type': 'application/json' }, body: body && JSON.stringify(body) }).then((r) => r.json());
              const { items } = await json('/api/forms', 'GET');
              const id = items.find((form) => form.slug === 'piano-inquiry').id;
              const form = await json(`/api/forms/${id}`, 'GET');
              const pages = form.definition.pages.map((page) => ({ ...page, questions: page.questions.filter((question) => question.key !== 'photos') }));
              const kept = await json(`/api/forms/${id}`, 'PUT', { version: form.version, definition: { ...form.definition, pages } });
              const live = await json(`/api/forms/${id}/publish`, 'POST', { version: kept.version });
              // And back again, so that what follows meets the form as it was.
              const again = await json(`/api/forms/${id}`, 'PUT', { version: live.version, definition: form.definition });
              await json(`/api/forms/${id}/publish`, 'POST', { version: again.version });
              return live.published.number;
            })().then(done, (error) => done(String(error)));
            JS);
        self::assertIsInt($done, \is_string($done) ? $done : '');
        $this->driver = $own;
    }

    private function photograph(string $name): string
    {
        $path = DataFolder::root()."/photo-$name.jpg";
        $image = imagecreatetruecolor(160, 120);
        self::assertNotFalse($image);
        for ($i = 0; $i < 400; ++$i) {
            imagesetpixel($image, random_int(0, 159), random_int(0, 119), random_int(0, 0xFFFFFF));
        }
        imagejpeg($image, $path, 95);

        return $path;
    }

    private function firstPage(string $email): void
    {
        $this->go('/f/piano-inquiry');
        $this->find('#q-name')->sendKeys('Bo Trier');
        $this->find('#q-email')->sendKeys($email);
        $this->clickOn('button[type=submit]');
        $this->clickWith('.option', 'Tune it');
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
