package ration.desktop.frame;

import java.awt.print.PrinterException;
import java.awt.print.PrinterJob;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.printing.PDFPageable;

/**
 * Puts a sheet that was written as PDF on paper, true to scale: pages are never fitted to the paper, so that a dipstick
 * strip or a gauge card measures what it says.
 */
final class Printing {

    private Printing() {}

    /** What came of it. */
    enum Came {
        PRINTED,
        /** Closed without printing. */
        LEFT,
        /** There is no printer to choose. */
        NO_PRINTER
    }

    /**
     * Asks for a printer and prints.
     *
     * @throws IOException if the file cannot be read or the printer takes nothing; said in its message
     */
    static Came print(Path pdf, FileDialogs dialogs) throws IOException {
        try (PDDocument document = Loader.loadPDF(Files.readAllBytes(pdf))) {
            PrinterJob job = PrinterJob.getPrinterJob();
            job.setJobName(String.valueOf(pdf.getFileName()));
            job.setPageable(new PDFPageable(document));
            return switch (dialogs.printer(job)) {
                case CHOSEN -> {
                    job.print();
                    yield Came.PRINTED;
                }
                case CLOSED -> Came.LEFT;
                case NONE -> Came.NO_PRINTER;
            };
        } catch (PrinterException e) {
            throw new IOException("the printer did not take it: " + e.getMessage(), e);
        }
    }
}
