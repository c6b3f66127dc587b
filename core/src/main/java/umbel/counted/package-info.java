/**
 * Plants that are counted instead of surveyed limb by limb: bushes by their canes, rows by canes a metre, vines by arms, canes and
 * nodes. What is wrong with one, what to do, and what the next seasons bring. The models and what they rest on are told in
 * docs/model/counted.md.
 */
package umbel.counted;
