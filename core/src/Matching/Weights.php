<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/**
 * How often each level comes about between two records: of one person (m), of two people of one household or
 * office (h), and of two people who have nothing to do with each other (u).
 *
 * I. P. Fellegi, A. B. Sunter, "A Theory for Record Linkage", JASA 64, 1969, has the first and the last; the
 * one between is a third class of the same kind.
 */
final readonly class Weights
{
    /** @param array<string, array<string, array{m: float, h: float, u: float}>> $shares by field and level */
    public function __construct(public array $shares)
    {
    }

    /** log2(m/u): above 0 for what speaks for one person, below for what speaks against. */
    public static function log2(float $m, float $u): float
    {
        return log($m / $u, 2);
    }

    /**
     * Sensible values to begin with, before the business's own records tell better. Of a name that is equal,
     * u is replaced by how common that name is, where that is known.
     */
    public static function defaults(): self
    {
        $rows = [
            ['given', 'same', .72, .006, .006], ['given', 'form', .07, .004, .002], ['given', 'near', .10, .006, .003], ['given', 'initial', .06, .004, .004],
            ['given', 'part', .01, .002, .001], ['given', 'other', .002, .02, .008], ['given', 'different', .008, .958, .976],
            ['family', 'same', .78, .80, .003], ['family', 'near', .11, .02, .002], ['family', 'part', .02, .01, .0005],
            ['family', 'initial', .01, .005, .03], ['family', 'different', .06, .165, .9645],
            ['order', 'same', .97, .999, .9999], ['order', 'different', .03, .001, .0001],
            ['email', 'same', .70, .12, .000002], ['email', 'shared', .10, .20, .00004], ['email', 'near', .04, .004, .0003],
            ['email', 'local-part', .05, .006, .01], ['email', 'different', .25, .74, .9997],
            ['phone', 'same', .66, .22, .000004], ['phone', 'shared', .15, .40, .00004], ['phone', 'near', .05, .01, .00003], ['phone', 'different', .27, .50, .9999],
            ['address', 'same', .72, .80, .0001], ['address', 'near', .12, .11, .0002], ['address', 'part', .02, .02, .0003], ['address', 'different', .14, .07, .9994],
            ['area', 'same', .78, .92, .004], ['area', 'near', .04, .02, .002], ['area', 'part', .08, .03, .05], ['area', 'town', .88, .92, .06],
            ['area', 'different', .10, .03, .944],
            ['organisation', 'same', .70, .75, .004], ['organisation', 'near', .12, .10, .002], ['organisation', 'different', .18, .15, .994],
        ];
        $shares = [];
        foreach ($rows as [$field, $level, $m, $h, $u]) {
            $shares[$field][$level] = ['m' => $m, 'h' => $h, 'u' => $u];
        }

        return new self($shares);
    }
}
