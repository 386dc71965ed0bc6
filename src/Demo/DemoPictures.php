<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Dompdf\Dompdf;

/** Draws the photographs and writes the PDF files of the demo; nothing comes from outside. */
final class DemoPictures
{
    private const WIDTH = 1200;
    private const HEIGHT = 900;

    private \GdImage $image;

    public function __construct(private readonly string $folder)
    {
    }

    /** @return string path of a JPEG file: an upright piano from the front */
    public function front(int $variant): string
    {
        return $this->draw("front-$variant", function () use ($variant): void {
            [$wall, $floor, $wood, $dark] = [
                [[214, 200, 172], [176, 156, 122], [86, 56, 42], [56, 36, 28]],
                [[203, 208, 199], [140, 128, 110], [44, 40, 38], [24, 22, 22]],
                [[222, 212, 196], [150, 120, 88], [124, 78, 46], [84, 50, 30]],
            ][$variant % 3];
            $this->box(0, 0, 1200, 900, $wall);
            $this->box(0, 690, 1200, 900, $floor);
            $this->box(290, 150, 910, 186, $dark);
            $this->box(310, 186, 890, 500, $wood);
            foreach ([330, 545, 760] as $i => $x) {
                $this->box($x, 220, $x + (1 === $i ? 175 : 115), 460, $dark);
                $this->box($x + 12, 232, $x + (1 === $i ? 163 : 103), 448, $wood);
            }
            $this->box(260, 500, 940, 540, $dark);
            $this->keys(280, 505, 640, 44, 36);
            $this->box(280, 556, 920, 590, $wood);
            $this->box(300, 590, 345, 760, $dark);
            $this->box(855, 590, 900, 760, $dark);
            $this->box(345, 600, 855, 740, $wood);
            $this->box(560, 720, 585, 765, [180, 150, 60]);
            $this->box(615, 720, 640, 765, [180, 150, 60]);
            $this->box(270, 760, 930, 778, $dark);
        });
    }

    /** @return string path of a JPEG file: the keys close up, one of them down */
    public function keys1(int $variant): string
    {
        return $this->draw("keys-$variant", function () use ($variant): void {
            $this->box(0, 0, 1200, 900, [66, 44, 34]);
            $this->box(0, 150, 1200, 900, [240, 234, 218]);
            for ($i = 0; $i < 11; ++$i) {
                $x = $i * 110;
                $down = $i === 3 + $variant % 5;
                $this->box($x, $down ? 176 : 150, $x + 106, 900, $down ? [214, 206, 186] : [240, 234, 218]);
                $this->box($x + 106, 150, $x + 110, 900, [120, 108, 92]);
                if (!\in_array($i % 7, [2, 6], true)) {
                    $this->box($x + 76, 150, $x + 142, 560, [30, 28, 27]);
                    $this->box($x + 86, 150, $x + 132, 530, [52, 48, 46]);
                }
            }
            $this->box(0, 0, 1200, 150, [66, 44, 34]);
            $this->box(0, 140, 1200, 152, [130, 40, 40]);
        });
    }

    /** @return string path of a JPEG file: strings and tuning pins, some missing */
    public function strings(int $variant): string
    {
        return $this->draw("strings-$variant", function () use ($variant): void {
            $this->box(0, 0, 1200, 900, [148, 110, 62]);
            $this->box(0, 0, 1200, 150, [196, 164, 92]);
            for ($i = 0; $i < 26; ++$i) {
                $x = 30 + $i * 46;
                imagefilledellipse($this->image, $x, 70 + ($i % 3) * 22, 26, 26, $this->ink([70, 68, 66]));
                imagefilledellipse($this->image, $x, 70 + ($i % 3) * 22, 12, 12, $this->ink([160, 156, 150]));
                if ($i % 9 !== 4 + $variant % 4) {
                    imagesetthickness($this->image, $i < 9 ? 7 : 3);
                    imageline($this->image, $x, 84 + ($i % 3) * 22, $x + 330, 900, $this->ink($i < 9 ? [178, 112, 62] : [206, 204, 198]));
                }
            }
            imagesetthickness($this->image, 1);
        });
    }

    /** @return string path of a PDF file: the report of an earlier tuning */
    public function report(string $piano, string $day, int $variant): string
    {
        $path = "{$this->folder}/report-$variant.pdf";
        if (!is_file($path)) {
            $pitch = 428 + $variant * 2;
            $page = new Dompdf(['isRemoteEnabled' => false, 'defaultFont' => 'serif']);
            $page->loadHtml(
                '<h1 style="font-size:18pt">Tuning report</h1><p>'.htmlspecialchars($piano)."</p><p>$day</p><table><tr><td>Pitch found</td><td>A $pitch Hz</td></tr><tr><td>Pitch left</td><td>A 440 Hz</td></tr><tr><td>Room</td><td>48 % humidity, 19 °C</td></tr></table><p>Two bass strings are near their end. Keep the piano away from the radiator.</p><p>Marrowby Piano Workshop</p>",
            );
            $page->render();
            file_put_contents($path, $page->output());
        }

        return $path;
    }

    private function draw(string $name, callable $paint): string
    {
        $path = "{$this->folder}/$name.jpg";
        if (!is_file($path)) {
            $this->image = imagecreatetruecolor(self::WIDTH, self::HEIGHT);
            $paint();
            imagejpeg($this->image, $path, 82);
        }

        return $path;
    }

    private function keys(int $left, int $top, int $width, int $height, int $count): void
    {
        $this->box($left, $top, $left + $width, $top + $height, [238, 232, 216]);
        $step = $width / $count;
        for ($i = 0; $i < $count; ++$i) {
            $x = (int) ($left + $i * $step);
            $this->box($x, $top, $x + 1, $top + $height, [120, 110, 96]);
            if (!\in_array($i % 7, [2, 6], true)) {
                $this->box($x + 11, $top, $x + 22, $top + (int) ($height * 0.6), [28, 26, 26]);
            }
        }
    }

    /** @param array{int<0, 255>, int<0, 255>, int<0, 255>} $colour */
    private function box(int $x1, int $y1, int $x2, int $y2, array $colour): void
    {
        imagefilledrectangle($this->image, $x1, $y1, $x2 - 1, $y2 - 1, $this->ink($colour));
    }

    /** @param array{int<0, 255>, int<0, 255>, int<0, 255>} $colour */
    private function ink(array $colour): int
    {
        $ink = imagecolorallocate($this->image, ...$colour);

        return false === $ink ? 0 : $ink;
    }
}
