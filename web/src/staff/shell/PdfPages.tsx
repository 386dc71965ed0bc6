import { getDocument, GlobalWorkerOptions, type PDFDocumentProxy } from 'pdfjs-dist';
import worker from 'pdfjs-dist/build/pdf.worker.min.mjs?url';
import { useEffect, useRef, useState } from 'react';
import { ComingRows, Trouble } from '../../shared/Notice';
import { count } from '../../shared/numbers';

GlobalWorkerOptions.workerSrc = worker;

const most = 30;

/** The pages of a PDF file, drawn here: nothing in the file is carried out. */
export default function PdfPages({ src, name }: { src: string; name: string }) {
  const [document, setDocument] = useState<PDFDocumentProxy | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    const loading = getDocument({ url: src, isEvalSupported: false, enableXfa: false, useWasm: false });
    loading.promise.then(setDocument, () => setFailed(true));
    return () => void loading.destroy();
  }, [src]);
  if (failed)
    return (
      <Trouble title="Not shown">
        This file cannot be drawn here. <a href={src}>Save it</a> instead.
      </Trouble>
    );
  if (!document) return <ComingRows rows={8} />;
  const pages = Math.min(document.numPages, most);
  return (
    <div className="pdf-pages" role="img" aria-label={`${name}, ${count(document.numPages, 'page')}`}>
      {Array.from({ length: pages }, (_, i) => (
        <PdfPage key={i} document={document} number={i + 1} />
      ))}
      {document.numPages > most && (
        <p className="second">
          The first {most} of {document.numPages} pages. <a href={src}>Save the file</a> for the others.
        </p>
      )}
    </div>
  );
}

function PdfPage({ document, number }: { document: PDFDocumentProxy; number: number }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    let gone = false;
    void document.getPage(number).then((page) => {
      const target = canvas.current;
      if (gone || !target) return;
      const viewport = page.getViewport({ scale: 1.5 });
      target.width = viewport.width;
      target.height = viewport.height;
      void page.render({ canvas: target, viewport }).promise;
    });
    return () => {
      gone = true;
    };
  }, [document, number]);
  return <canvas ref={canvas} className="pdf-page" />;
}
