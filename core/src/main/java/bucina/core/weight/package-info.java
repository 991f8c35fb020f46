/** What fasteners weigh, from their shape: an estimate for the weight sheet, in pounds. Pure; knows no plan. */
package bucina.core.weight;
