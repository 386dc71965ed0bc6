<?php

declare(strict_types=1);

namespace Telamon\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** What may know of what. Checked by the static analysis, not by PHPUnit. */
final class Rooms
{
    #[TestRule]
    public function coreKnowsNothingOfTheFramework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Telamon\Core'))
            ->excluding(Selector::inNamespace('Telamon\Core\Tests'))
            ->shouldNot()->dependOn()
            ->classes(
                Selector::inNamespace('Symfony'),
                Selector::inNamespace('Doctrine'),
                Selector::inNamespace('Psr'),
                Selector::inNamespace('League'),
                Selector::inNamespace('Twig'),
            )
            // Names of countries and languages: tables of data, no framework.
            ->excluding(Selector::inNamespace('Symfony\Component\Intl'))
            ->because('the rules and computation of the job are tested on their own');
    }

    #[TestRule]
    public function coreKnowsNothingOfTheApplication(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Telamon\Core'))
            ->excluding(Selector::inNamespace('Telamon\Core\Tests'))
            ->canOnly()->dependOn()
            ->classes(
                Selector::inNamespace('Telamon\Core'),
                Selector::inNamespace('libphonenumber'),
                Selector::inNamespace('Egulias\EmailValidator'),
                Selector::inNamespace('Brick\Math'),
                Selector::inNamespace('Symfony\Component\Intl'),
                Selector::classname('/^Mustache_/', true),
                Selector::classname(
                    '/^(DateTime|Closure|[A-Za-z]*Exception|Transliterator|IntlChar|Normalizer|Spl[A-Z][A-Za-z]*Heap|stdClass|UnitEnum|BackedEnum|Attribute)/',
                    true,
                ),
            )
            ->because('the core stands alone');
    }

    #[TestRule]
    public function nothingUsesTheDemo(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Telamon'))
            ->excluding(Selector::inNamespace('Telamon\Demo'), Selector::inNamespace('Telamon\Tests'), Selector::inNamespace('Telamon\Bench'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('Telamon\Demo'))
            ->because('an installation without the demo must not miss it');
    }

    #[TestRule]
    public function onlyControllersKnowOfHttpProblems(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Telamon'))
            ->excluding(
                Selector::inNamespace('Telamon\Http'),
                Selector::inNamespace('Telamon\Tests'),
                Selector::classname('/Controller$/', true),
                // The doors of the session answer the browser themselves.
                Selector::classname('/^Telamon\\\\Access\\\\(SignInNeeded|SignInFailed|SignedIn|AccessDenied)$/', true),
            )
            ->shouldNot()->dependOn()
            ->classes(Selector::classname('Telamon\Http\Problem'))
            ->because('the domain refuses in its own words: Telamon\Refusal');
    }
}
