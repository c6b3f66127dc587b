/**
 * What is said, apart from how: a statement is a code with values, in SI; a catalogue a language turns it into text, with
 * numbers and units as the reader writes them.
 */
package umbel.text;
