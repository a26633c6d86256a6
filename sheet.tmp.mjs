import sharp from 'sharp';
const w=640,h=400;const tiles=[];for(let i=0;i<9;i++){const f='/tmp/k'+(i===8?0:i+1)+'.png';tiles.push({input:await sharp(f).resize(w,h).toBuffer(),left:(i%3)*w,top:Math.floor(i/3)*h});}await sharp({create:{width:3*w,height:3*h,channels:3,background:'#fff'}}).composite(tiles).png().toFile('/tmp/sheet.png');
