<?php

declare(strict_types=1);

namespace Telamon\Tests\Support;

/** Looks into the database of an application test for one value. */
trait AsksRows
{
    private function id(string $sql): string
    {
        $id = $this->db()->fetchOne($sql);
        self::assertIsString($id);

        return $id;
    }

    private function number(string $sql): string
    {
        $number = $this->db()->fetchOne($sql);
        self::assertIsNumeric($number);

        return (string) $number;
    }
}
