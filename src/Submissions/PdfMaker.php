<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Dompdf\Adapter\CPDF;
use Dompdf\Dompdf;
use Dompdf\Options;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Filesystem\Filesystem;
use Twig\Environment;

/** Makes A4 pages of a template. Nothing is fetched: pictures come along as data, and no file outside is read. */
final readonly class PdfMaker
{
    public function __construct(private Environment $twig, #[Autowire('%kernel.cache_dir%')] private string $cacheFolder, private string $dataFolder)
    {
    }

    /**
     * @param array<string, mixed> $values
     * @param string $foot stands at the foot of every page, with “Page 1 of 2”; empty for no foot
     * @param array<string, string> $files bytes of what is embedded, by name
     *
     * @return string the bytes of the file
     */
    public function make(string $template, array $values, string $foot = '', array $files = []): string
    {
        $made = $this->folder();
        $pdf = new Dompdf(new Options([
            'isRemoteEnabled' => false,
            'isPhpEnabled' => false,
            'isJavascriptEnabled' => false,
            'chroot' => [$made, ...PdfText::folders()],
            'tempDir' => $made,
            'fontDir' => $made,
            'fontCache' => $made,
            'defaultPaperSize' => 'a4',
        ]));
        $pdf->loadHtml($this->twig->render($template, $values), 'UTF-8');
        $pdf->render();
        if ('' !== $foot) {
            $font = $pdf->getFontMetrics()->getFont('DejaVu Sans') ?? 'Helvetica';
            $pdf->getCanvas()->page_text(45, 812, $foot, $font, 7, [0.33, 0.35, 0.35]);
            $pdf->getCanvas()->page_text(500, 812, 'Page {PAGE_NUM} of {PAGE_COUNT}', $font, 7, [0.33, 0.35, 0.35]);
        }

        return $this->with($files, $pdf, $made);
    }

    /** @param array<string, string> $files */
    private function with(array $files, Dompdf $pdf, string $folder): string
    {
        $canvas = $pdf->getCanvas();
        $written = [];
        try {
            foreach ($files as $name => $bytes) {
                $written[] = $path = (string) tempnam($folder, 'with');
                file_put_contents($path, $bytes);
                ($canvas instanceof CPDF ? $canvas : throw new \LogicException('pages are drawn by Cpdf'))->get_cpdf()->addEmbeddedFile($path, $name, $name);
            }

            return (string) $pdf->output();
        } finally {
            array_map(unlink(...), $written);
        }
    }

    /** Where measures of letters are kept between papers: beside the program where that may be written, else with the data. */
    private function folder(): string
    {
        if (is_writable($this->cacheFolder)) {
            return $this->cacheFolder;
        }
        $folder = "{$this->dataFolder}/cache/papers";
        (new Filesystem())->mkdir($folder, 0o700);

        return $folder;
    }
}
