<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\AssertionFailedError;
use Telamon\Tests\Browser\Support\BrowserTestCase;

/**
 * Every screen with a field keeps what is typed: through a network that is away, a reload, somebody else who saves,
 * going elsewhere and coming back, and on another device, which has nothing but what the server kept.
 */
final class TypedTextTest extends BrowserTestCase
{
    private const WORDS = 'Felt & <b>“keys”';
    private const AFTER = ' ½ 🎹 later';

    /**
     * Path; what is pressed to come to the field; the field; how a colleague saves another version (what is read,
     * and from it in JavaScript method, address and body), where the record has versions.
     *
     * @return iterable<string, array{string, list<string>, string, 3?: array{string, string}}>
     */
    public static function screens(): iterable
    {
        yield 'a new client' => ['/clients/new', [], '.new-client input'];
        yield 'a fact of a client' => ['/clients', ['.row-table tbody a, main table tbody a', '.fact-value[data-fact=Address]'], '.fact-edit input, .fact-edit textarea'];
        yield 'a new task' => ['/projects', ['main table tbody a', '.plinth .block~Add task'], '.new-task input'];
        yield 'an inquiry by phone' => ['/inquiry', [], '#q-name'];
        yield 'a price' => [
            '/quotes/prices',
            ['main table .link-button'],
            '.price-form .staff-field input',
            [
                '/api/prices',
                'const one = all.items.find((each) => document.querySelector(".price-form h2").textContent === each.name); return ["PUT", `/api/prices/${one.id}`, { ...one, version: one.version, effort: one.effort + 5, item: { code: one.code, name: one.name, text: one.text, unit: one.unit, price: one.price, vat: one.vat, group: one.group, steps: one.steps } }]',
            ],
        ];
        yield 'how we quote' => [
            '/quotes/prices',
            [],
            '.how-we-quote textarea',
            ['/api/prices', 'return ["PUT", "/api/prices/setup", { ...all.setup, validDays: all.setup.validDays + 1 }]'],
        ];
        yield 'a quote' => [
            '/quotes',
            ['.quotes-table tr a'],
            '.quote-lines .named input',
            ['/api/quotes/{id}', 'return ["PUT", `/api/quotes/${id}`, { version: all.version, content: { ...all.content, terms: "Theirs" }, validUntil: all.validUntil }]'],
        ];
        yield 'a letter' => ['/messages/write', [], '#write-text'];
        yield 'a template' => [
            '/messages/templates',
            ['main .side-list a, main .list-row'],
            '.sheet input.title-field, .sheet .staff-field input',
            ['/api/templates/{id}', 'return ["PUT", `/api/templates/${id}`, { ...all, purpose: all.purpose, text: `${all.text}\nTheirs` }]'],
        ];
        yield 'a follow-up' => [
            '/messages/follow-ups',
            ['main a.list-row'],
            '.sheet input.title-field',
            ['/api/follow-ups/{id}', 'return ["PUT", `/api/follow-ups/${id}`, { ...all, name: `${all.name} (theirs)` }]'],
        ];
        yield 'the board' => ['/messages/notices', ['main a.list-row~Desk', '.plinth .block~Write'], 'main textarea'];
        yield 'a kind of visit' => [
            '/diary/kinds',
            [],
            '.kind-form input[aria-label=Name]',
            [
                '/api/diary/types',
                'const one = all.types.find((each) => each.name === document.querySelector("[aria-current=true]").textContent.trim()) ?? all.types[0]; return ["PUT", `/api/diary/types/${one.id}`, { version: one.version, name: one.name, slug: one.slug, live: one.live, settings: { ...one.settings, notice: one.settings.notice + 60 } }]',
            ],
        ];
        yield 'a booking page' => [
            '/diary/kinds?part=pages',
            ['.page-line .link-button'],
            '.page-part .staff-field input',
            ['/api/diary/types', 'const one = all.pages[0]; return ["PUT", `/api/diary/pages/${one.id}`, { ...one, intro: "Theirs" }]'],
        ];
        yield 'roads' => ['/diary/kinds?part=roads', [], '.roads input[aria-label=From]'];
        yield 'a rule' => [
            '/rules',
            ['main .rule-list a'],
            '.particulars.rule .staff-field input',
            ['/api/rules', 'const one = all.items.find((each) => each.id === id); return ["PUT", `/api/rules/${id}`, { ...one, if: one.if, why: "Theirs" }]'],
        ];
        yield 'a checklist' => ['/checklists', ['main .list-row'], '.list-names .staff-field input', ['/api/checklists', 'const one = all.items.find((each) => each.id === id); return ["PUT", `/api/checklists/${id}`, { ...one, name: `${one.name} (theirs)` }]']];
        yield 'the name of the business' => ['/setup', ['.fact-value[data-fact=Name]'], '.fact-edit input'];
        yield 'a custom field' => ['/setup', [], '.setup-form .staff-field input'];
        yield 'a letter into the stand-in' => ['/setup', [], '.stand-in textarea'];
        yield 'a note beside an arrival' => ['/arrivals', ['main .link-button~Note'], '.handling-note textarea'];
    }

    public function testWhatIsTypedIsThereWhateverComesBetween(): void
    {
        $this->signIn();
        $lost = [];
        foreach (self::screens() as $name => $screen) {
            try {
                $this->walk(...$screen);
            } catch (TimeoutException|AssertionFailedError $error) {
                $lost[] = "$name: {$error->getMessage()}";
                $this->driver->takeScreenshot(\dirname(__DIR__, 2).'/var/failed-'.preg_replace('/\W+/', '-', $name).'.png');
            }
            $this->network(true);
            $this->go('/today');
            self::forgetTyped($this->driver);
        }
        self::assertSame([], $lost);
    }

    /**
     * @param list<string> $presses
     * @param array{string, string}|null $colleague
     */
    private function walk(string $path, array $presses, string $css, ?array $colleague = null): void
    {
        $field = $this->come($path, $presses, $css);
        $at = $this->driver->getCurrentURL();
        $field->sendKeys([WebDriverKeys::CONTROL, WebDriverKeys::END, WebDriverKeys::NULL, self::WORDS]);
        $typed = (string) $field->getAttribute('value');
        self::assertStringEndsWith(self::WORDS, $typed);
        // The network goes away while it is typed, and the page is loaded again as soon as it is back.
        $this->network(false);
        $field->sendKeys(self::AFTER);
        $typed .= self::AFTER;
        $this->network(true);
        $this->driver->navigate()->refresh();
        $this->isThere($typed, $presses, $css, 'after a reload');
        $this->until(fn (): bool => $this->kept(), 'the server has it');
        // On another device there is nothing but what the server has.
        $this->driver->executeScript('localStorage.clear()');
        if (null !== $colleague) {
            $answer = $this->driver->executeAsyncScript(<<<JS
                const done = arguments[0], id = location.pathname.split('/').pop(), change = (all) => { {$colleague[1]} };
                fetch('{$colleague[0]}'.replace('{id}', id)).then((r) => r.json()).then(async (all) => {
                  const [method, to, body] = change(all);
                  const answer = await fetch(to, { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) });
                  done(answer.status + ' ' + await answer.text());
                }).catch((error) => done(String(error)));
                JS);
            self::assertIsString($answer);
            self::assertStringStartsWith('200', $answer, 'a colleague saves');
        }
        $this->go('/today');
        $this->until(fn (): bool => $this->kept() && 0 < $this->drafts(), 'it has come from the server');
        $this->driver->get($at);
        $this->isThere($typed, $presses, $css, 'on another device');
        if (null !== $colleague) {
            $this->see('Somebody else saved it meanwhile');
        }
        // Going elsewhere by the program's own ways, and back.
        $this->driver->findElement(WebDriverBy::cssSelector('.lintel nav a'))->click();
        $this->until(fn (): bool => !str_contains($this->driver->getCurrentURL(), (string) parse_url($at, \PHP_URL_PATH)) || [] === $this->all($css), 'it is elsewhere');
        $this->driver->navigate()->back();
        $this->isThere($typed, $presses, $css, 'after going back');
    }

    /** @param list<string> $presses */
    private function come(string $path, array $presses, string $css): RemoteWebElement
    {
        $this->go($path);
        foreach ($presses as $press) {
            [$what, $words] = explode('~', $press) + [1 => ''];
            $this->clickWith($what, $words);
        }

        return $this->find($css);
    }

    /** @param list<string> $presses where the field is not open by itself, what is pressed last opens it */
    private function isThere(string $typed, array $presses, string $css, string $when): void
    {
        [$last, $words] = explode('~', end($presses) ?: '') + [1 => ''];
        $seen = '';
        $this->until(function () use ($typed, $last, $words, $css, &$seen): bool {
            $fields = $this->all($css);
            if ([] === $fields && '' !== $last) {
                foreach ($this->all($last) as $opener) {
                    if (str_contains($opener->getText(), $words)) {
                        $opener->click();
                        break;
                    }
                }
            }
            $seen = implode(' | ', array_map(static fn (RemoteWebElement $one): string => (string) $one->getAttribute('value'), $fields));

            return str_contains($seen, $typed);
        }, "“{$typed}” is not there $when");
        $this->addToAssertionCount(1);
    }

    private function network(bool $is): void
    {
        self::devTools($this->driver, 'Network.enable', []);
        self::devTools($this->driver, 'Network.emulateNetworkConditions', ['offline' => !$is, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1]);
    }

    /** Whether nothing in this browser waits to be brought to the server. */
    private function kept(): bool
    {
        return true === $this->driver->executeScript('return Object.keys(localStorage).filter((key) => key.startsWith("telamon.draft.")).every((key) => !JSON.parse(localStorage.getItem(key)).ahead)');
    }

    private function drafts(): int
    {
        $count = $this->driver->executeScript('return Object.keys(localStorage).filter((key) => key.startsWith("telamon.unsaved.")).length');

        return \is_int($count) ? $count : 0;
    }
}
