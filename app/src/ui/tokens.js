/** Colours of the two themes and sizes of type, from the design's tables. The only place that has them. */
const colours = {
  paper: {
    ground: '#F5F0E6',
    card: '#FFFCF5',
    desk: '#E9E1D1',
    field: '#FFFFFF',
    ink: '#23252A',
    soft: '#5F5E58',
    line: '#D9D0BF',
    brass: '#8F6413',
    onbrass: '#FFFFFF',
    brasswash: '#E6DBC6',
    indigo: '#2F4B8C',
    persimmon: '#B4461F',
    moss: '#3F6B45',
    plum: '#7C2F57',
    cool: '#1F7A80',
    warm: '#C07A3A',
    slate: '#5D6680',
    veil: 'rgba(35, 37, 42, 0.38)',
  },
  lampout: {
    ground: '#17181B',
    card: '#202226',
    desk: '#1B1C20',
    field: '#0F1012',
    ink: '#ECE7DB',
    soft: '#A9A59A',
    line: '#35373C',
    brass: '#D9A441',
    onbrass: '#17181B',
    brasswash: '#3A3226',
    indigo: '#8FA8E8',
    persimmon: '#F0875A',
    moss: '#86B98B',
    plum: '#D98BB4',
    cool: '#57AEB4',
    warm: '#C99155',
    slate: '#9BA5C2',
    veil: 'rgba(0, 0, 0, 0.55)',
  },
};

const sizes = { tiny: 12, small: 14, body: 16, title: 20, display: 28 };

module.exports = { colours, sizes };
