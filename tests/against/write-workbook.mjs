// Writes a workbook of the kind named to standard output, by npm exceljs.
import ExcelJS from 'exceljs';

const book = new ExcelJS.Workbook();
const day = (year, month, date, hour = 0, minute = 0) => new Date(Date.UTC(year, month - 1, date, hour, minute));
const kinds = {
  reviews() {
    const sheet = book.addWorksheet('Reviews');
    sheet.addRow(['Author', 'Date', 'Stars', 'Review', 'Reply']);
    sheet.addRow([
      'Ann',
      day(2024, 3, 1),
      4.5,
      { richText: [{ text: 'Rich ' }, { font: { bold: true }, text: 'text' }] },
      'Thanks',
    ]);
    sheet.addRow(['Bob', day(2024, 3, 2, 13, 30), { formula: '2+2', result: 4 }, 'Line 1\nLine 2']);
    sheet.addRow(['Çağla', '2024-05-06', 0.8, 'By share']).getCell(3).numFmt = '0%';
    sheet.getCell('C8').value = 5;
    sheet.getCell('D8').value = 'After a gap';
  },
  links() {
    const sheet = book.addWorksheet('Reviews');
    sheet.addRow(['Author', 'Text', 'Link']);
    sheet.addRow(['Ann', 'a', { text: 'see it', hyperlink: 'https://ex.example/1?a=b&c=d' }]);
    sheet.addRow([{ text: 'Bob', hyperlink: 'https://ex.example/bob' }, 'b', 'https://ex.example/2']);
  },
  1904() {
    book.properties.date1904 = true;
    const sheet = book.addWorksheet('Reviews');
    sheet.addRow(['Date', 'Text']);
    sheet.addRow([day(2024, 3, 1), 'a']);
  },
  formula() {
    const sheet = book.addWorksheet('Reviews');
    sheet.addRow(['Text', 'Rating']);
    sheet.addRow(['a', { formula: 'NOW()' }]);
  },
  sheets() {
    book.addWorksheet('Empty');
    book.addWorksheet('Secret', { state: 'hidden' }).addRow(['rating']);
    const sheet = book.addWorksheet('Shown');
    sheet.addRow(['text']);
    sheet.addRow(['a']);
  },
  wide() {
    book.addWorksheet('Wide').addRow(Array.from({ length: 300 }, (_, index) => `c${index}`));
  },
};
kinds[process.argv[2]]();
process.stdout.write(Buffer.from(await book.xlsx.writeBuffer()));
