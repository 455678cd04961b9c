import archivo700Ext from '@fontsource/archivo/files/archivo-latin-ext-700-normal.woff?url';
import archivo700 from '@fontsource/archivo/files/archivo-latin-700-normal.woff?url';
import text400Ext from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url';
import text400 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import text700Ext from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url';
import text700 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import { Document, Font, Image, Page, StyleSheet, Text, View } from '@react-pdf/renderer';
import type { ReactNode } from 'react';
import type { Offer } from '../../core/offer/offer.js';
import { tokens } from '../theme/tokens';

// One font subset each, tried in order: the first lacks letters such as č.
Font.register({ family: 'Head', fonts: [{ src: archivo700, fontWeight: 700 }] });
Font.register({ family: 'HeadX', fonts: [{ src: archivo700Ext, fontWeight: 700 }] });
Font.register({
  family: 'Body',
  fonts: [
    { src: text400, fontWeight: 400 },
    { src: text700, fontWeight: 700 },
  ],
});
Font.register({
  family: 'BodyX',
  fonts: [
    { src: text400Ext, fontWeight: 400 },
    { src: text700Ext, fontWeight: 700 },
  ],
});
Font.registerHyphenationCallback((word) => [word]);

const kebab = (name: string) => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/** The screens' light colors by the names drawings use, on white paper. */
export const colors: Readonly<Record<string, string>> = {
  ...Object.fromEntries(Object.entries(tokens).map(([name, [light]]) => [kebab(name), light])),
  sheet: '#ffffff',
  paper: '#ffffff',
};

export const styles = StyleSheet.create({
  page: {
    fontFamily: ['Body', 'BodyX'],
    fontSize: 9.5,
    lineHeight: 1.35,
    color: colors.ink ?? '#000',
    paddingTop: 40,
    paddingBottom: 54,
    paddingHorizontal: 44,
  },
  bar: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    borderBottom: `1 solid ${colors.ink}`,
    paddingBottom: 6,
    marginBottom: 12,
  },
  foot: {
    position: 'absolute',
    top: 750,
    left: 44,
    right: 44,
    flexDirection: 'row',
    justifyContent: 'space-between',
    fontSize: 7.5,
    color: colors.soft ?? '#555',
  },
  h1: { fontFamily: ['Head', 'HeadX'], fontWeight: 700, fontSize: 19, lineHeight: 1.2 },
  h2: {
    fontFamily: ['Head', 'HeadX'],
    fontWeight: 700,
    fontSize: 12.5,
    lineHeight: 1.25,
    marginTop: 12,
    marginBottom: 4,
  },
  soft: { color: colors.soft ?? '#555' },
  bold: { fontWeight: 700 },
  logo: { height: 34, maxWidth: 180, objectFit: 'contain', objectPosition: 'left', marginBottom: 3 },
  row: { flexDirection: 'row', borderTop: `0.75 solid ${colors.rule}`, paddingVertical: 4 },
  caution: { borderLeft: `3 solid ${colors.signal}`, paddingLeft: 7, marginVertical: 3 },
});

/** Fractions the fonts have no glyph for, written out. */
const fractions: Readonly<Record<string, string>> = {
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '→': '»',
  '←': '«',
  '−': '–',
};
export const inFont = (text: string): string => text.replace(/[⅛⅜⅝⅞→←−]/g, (one) => fractions[one] ?? one);

const caution =
  'Local code, the utility locate, the competent person at the trench and licensed practice come before anything written here.';

/** Common layout of all documents: company, subject, page numbers, the caution on each page. */
export function Paper({
  title,
  from,
  of,
  children,
}: {
  title: string;
  from: Partial<Offer['firm']>;
  of: string;
  children: ReactNode;
}) {
  return (
    <Document
      title={`${title}: ${of}`}
      author={from.name ?? 'Open Trench'}
      creator="Open Trench"
      language="en"
    >
      <Page size="LETTER" style={styles.page} wrap>
        <View style={styles.bar} fixed>
          <View>
            {from.logo && <Image src={from.logo} style={styles.logo} />}
            <Text style={styles.bold}>{from.name ?? ' '}</Text>
            {[from.licence, [from.phone, from.email].filter(Boolean).join(', ')].map(
              (line) =>
                line && (
                  <Text key={line} style={styles.soft}>
                    {line}
                  </Text>
                ),
            )}
          </View>
          <View style={{ alignItems: 'flex-end' }}>
            <Text style={styles.bold}>{inFont(of)}</Text>
            <Text style={styles.soft}>{title}</Text>
          </View>
        </View>
        <View style={styles.foot} fixed>
          <Text style={{ maxWidth: 440 }}>{caution}</Text>
          <Text render={({ pageNumber, totalPages }) => `${pageNumber} / ${totalPages}`} />
        </View>
        {children}
      </Page>
    </Document>
  );
}

/** A table row: widths as fractions, last columns right-aligned where they are numbers. */
export function Cells({
  cells,
  shares,
  right = [],
  bold = false,
}: {
  cells: readonly string[];
  shares: readonly number[];
  right?: readonly number[];
  bold?: boolean;
}) {
  return (
    <View style={styles.row} wrap={false}>
      {cells.map((cell, i) => (
        <Text
          key={i}
          style={{
            flexGrow: shares[i] ?? 1,
            flexBasis: 0,
            paddingRight: 6,
            textAlign: right.includes(i) ? 'right' : 'left',
            fontWeight: bold ? 700 : 400,
          }}
        >
          {inFont(cell)}
        </Text>
      ))}
    </View>
  );
}
