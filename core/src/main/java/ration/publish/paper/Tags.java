package ration.publish.paper;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDNumberTreeNode;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkInfo;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureTreeRoot;

/**
 * In which order a document is read aloud, and what each thing in it is: the structure tree of a tagged PDF (ISO
 * 32000-1, 14.7). What is drawn is numbered on its page, and its number hung into the element that is open.
 */
final class Tags {

    private final PDStructureTreeRoot root = new PDStructureTreeRoot();
    private final Deque<Open> open = new ArrayDeque<>();
    /** Of each page, to which element each number belongs. */
    private final Map<PDPage, COSArray> marked = new LinkedHashMap<>();

    /** An element that takes what comes next. */
    record Open(PDStructureElement element, boolean holdsText) {}

    Tags() {
        PDStructureElement all = new PDStructureElement("Document", root);
        root.appendKid(all);
        open.push(new Open(all, false));
    }

    /** What is open now, to be gone on with later. */
    Open now() {
        return open.peek();
    }

    void open(Role role, String alternative) {
        PDStructureElement made = under(role.word());
        if (!alternative.isEmpty()) {
            made.setAlternateDescription(alternative);
        }
        open.push(new Open(made, role.holdsText()));
    }

    void reopen(Open again) {
        open.push(again);
    }

    void close() {
        open.pop();
    }

    private PDStructureElement under(String word) {
        PDStructureElement parent = open.peek().element();
        PDStructureElement made = new PDStructureElement(word, parent);
        parent.appendKid(made);
        return made;
    }

    /** Number on its page of what is drawn next. */
    int mark(PDPage page) {
        Open top = open.peek();
        boolean here = top.holdsText()
                && (top.element().getPage() == null || top.element().getPage().getCOSObject() == page.getCOSObject());
        PDStructureElement element = here ? top.element() : under(top.holdsText() ? "Span" : Role.TEXT.word());
        element.setPage(page);
        COSArray numbers = marked.computeIfAbsent(page, p -> new COSArray());
        int number = numbers.size();
        numbers.add(element.getCOSObject());
        COSBase kids = element.getCOSObject().getDictionaryObject(COSName.K);
        COSArray all = kids instanceof COSArray some ? some : new COSArray();
        if (kids != null && !(kids instanceof COSArray)) {
            all.add(kids);
        }
        all.add(COSInteger.get(number));
        element.getCOSObject().setItem(COSName.K, all);
        return number;
    }

    /** Puts the tree into the document; nothing may be drawn after. */
    void finish(PDDocument document) {
        Map<Integer, COSArray> tree = new LinkedHashMap<>();
        List<PDPage> pages = new ArrayList<>(marked.keySet());
        for (int i = 0; i < pages.size(); i++) {
            pages.get(i).setStructParents(i);
            pages.get(i).getCOSObject().setItem(COSName.getPDFName("Tabs"), COSName.S);
            tree.put(i, marked.get(pages.get(i)));
        }
        PDNumberTreeNode parents = new PDNumberTreeNode(COSArray.class);
        parents.setNumbers(tree);
        root.setParentTree(parents);
        root.setParentTreeNextKey(pages.size());
        document.getDocumentCatalog().setStructureTreeRoot(root);
        PDMarkInfo info = new PDMarkInfo();
        info.setMarked(true);
        document.getDocumentCatalog().setMarkInfo(info);
        document.getDocumentCatalog().setLanguage("en-US");
    }
}
