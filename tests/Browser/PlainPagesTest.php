<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Symfony\Component\Clock\NativeClock;
use Telamon\Clients\ContactPoint;
use Telamon\Http\SignedText;
use Telamon\Messages\SignedAddresses;
use Telamon\Tests\Browser\Support\BrowserTestCase;
use Telamon\Tests\Browser\Support\Installation;

/** Pages for people without an account and without a script: what their button does, it does. */
final class PlainPagesTest extends BrowserTestCase
{
    public function testTheLinkInALetterStopsWhatNobodyAskedFor(): void
    {
        $this->open(390, 844);
        $this->go($this->stopLink());
        $this->see('Shall we stop writing to you?');
        $this->assertAccessible('the page that stops letters');
        $this->clickWith('button', 'Yes, stop');
        $this->see('We send nothing to');
        $this->driver->navigate()->refresh();
        self::assertSame([], $this->complaints());
    }

    public function testAnAddressIsConfirmedByItsLink(): void
    {
        $this->open(390, 844);
        $this->go($this->confirmLink());
        $this->see('Is this your address?');
        $this->assertAccessible('the page that confirms an address');
        $this->clickWith('button', 'Yes, it is mine');
        $this->see('There is nothing else to do.');
        self::assertSame([], $this->complaints());
    }

    public function testAnybodyHasASignedFileChecked(): void
    {
        $this->signIn();
        $signed = $this->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            const json = (path, body) => fetch(path, { credentials: path.includes('/public/') ? 'omit' : 'same-origin', ...(body && { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }) }).then((r) => r.json());
            (async () => {
                const open = (await json('/api/quotes')).items.find((one) => ['sent', 'opened'].includes(one.state) && one.daysLeft > 0);
                const { token } = await json(`/api/quotes/${open.id}`);
                const page = `/api/public/quotes/${token}`;
                const { quote } = await json(page);
                await json(`${page}/accept`, { ticked: quote.lines.filter((one) => one.choice && one.ticked).map((one) => one.key), total: quote.totals.total, name: 'Somebody Who Signs' });
                // Drawn by the worker, or by whoever asks first.
                const bytes = await (await fetch(`${page}/quote.pdf`, { credentials: 'omit' })).arrayBuffer();
                done(btoa(Array.from(new Uint8Array(bytes), (one) => String.fromCharCode(one)).join('')));
            })();
            JS);
        self::assertIsString($signed);
        $bytes = (string) base64_decode($signed, true);
        self::assertStringStartsWith('%PDF-', $bytes);
        $good = sys_get_temp_dir().'/telamon-check-good.pdf';
        $bad = sys_get_temp_dir().'/telamon-check-bad.pdf';
        file_put_contents($good, $bytes);
        file_put_contents($bad, substr_replace($bytes, 'X', 3000, 1));
        $this->driver->manage()->deleteAllCookies();
        $this->go('/check');
        $this->assertAccessible('the page that checks files');
        $choose = function (string $file): void {
            $this->find('input[type=file]')->setFileDetector(new LocalFileDetector())->sendKeys($file);
            $this->clickWith('button', 'Check it');
        };
        $choose($good);
        $this->see('this is the quote that was signed');
        self::assertCount(5, $this->driver->findElements(WebDriverBy::cssSelector('.checks .said.holds')));
        $this->assertAccessible('a file that holds');
        $choose($bad);
        $this->see('This copy of the file is not.');
        $this->assertAccessible('a file that does not hold');
        $this->clickWith('summary', 'Read the record');
        $this->see('"signedBy"');
        $this->clickWith('button', 'Mail the file');
        $this->see('It is on its way to');
        self::assertSame([], $this->complaints());
        array_map(unlink(...), [$good, $bad]);
    }

    private function stopLink(): string
    {
        return (string) parse_url($this->addresses()->stopLink('somebody@example.org'), \PHP_URL_PATH);
    }

    /** Of an address that nobody has confirmed yet. */
    private function confirmLink(): string
    {
        $db = new \PDO('sqlite:'.Installation::running()->data.'/telamon.db');
        $row = ($db->query("SELECT id, value FROM contact_point WHERE kind = 'email' ORDER BY confirmed, id LIMIT 1") ?: null)?->fetch(\PDO::FETCH_ASSOC);
        self::assertIsArray($row);
        $db->prepare('UPDATE contact_point SET confirmed = 0 WHERE id = ?')->execute([$row['id']]);
        $class = new \ReflectionClass(ContactPoint::class);
        $point = $class->newInstanceWithoutConstructor();
        foreach ($row as $name => $value) {
            $class->getProperty($name)->setValue($point, $value);
        }

        return (string) parse_url($this->addresses()->confirmLink($point), \PHP_URL_PATH);
    }

    /** As the application signs them. */
    private function addresses(): SignedAddresses
    {
        return new SignedAddresses(new SignedText(new NativeClock(), 'tests-only'), Installation::running()->address);
    }
}
