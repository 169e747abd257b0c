declare module 'pdfjs-dist/build/pdf.worker.mjs';
declare module 'pdfjs-dist/build/pdf.mjs';
