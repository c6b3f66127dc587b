/**
 * The next seasons of a tree: a source and sink model that shares what the leaf made among everything that can grow. See
 * docs/model/growth.md for its equations, sources and how far each saying of the trade comes out of it.
 */
package umbel.growth;
