package ration.desktop.control;

import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** A column of nodes that remembers how high it is until something in it changes. */
public class ColumnBox extends VBox {

    private Sizes least;
    private Sizes preferred;

    public ColumnBox(Node... children) {
        super(children);
    }

    public ColumnBox(double spacing, Node... children) {
        super(spacing, children);
    }

    @Override
    public void requestLayout() {
        // also called while the box around it is made, before there is anything to forget
        if (least != null) {
            least.forget();
            preferred.forget();
        }
        super.requestLayout();
    }

    @Override
    protected double computeMinHeight(double width) {
        remember();
        return least.of(width, super::computeMinHeight);
    }

    @Override
    protected double computePrefHeight(double width) {
        remember();
        return preferred.of(width, super::computePrefHeight);
    }

    private void remember() {
        if (least == null) {
            least = new Sizes();
            preferred = new Sizes();
        }
    }
}
